<script lang="ts" generics="T">
  /** A place in the ledger: its heading, and below it what the server answers, why it does not, or that it is asked. */
  import type { Snippet } from 'svelte';
  import Problem from '@/ui/Problem.svelte';
  import LedgerPlaces from './LedgerPlaces.svelte';

  interface Props {
    title: string;
    heading: Snippet;
    query: { data: T | undefined; error: Error | null };
    waiting: string;
    children: Snippet<[T]>;
  }
  let { title, heading, query, waiting, children }: Props = $props();
</script>

<svelte:head><title>{title} · Odd Bench</title></svelte:head>

<main class="px-4 py-3 md:px-5">
  <LedgerPlaces />
  <div class="mt-2 flex flex-wrap items-center justify-between gap-3">{@render heading()}</div>
  {#if query.data !== undefined}{@render children(query.data)}
  {:else if query.error}<div class="mt-4"><Problem message={query.error.message} /></div>
  {:else}<p class="mt-4 text-quiet" role="status">{waiting}</p>{/if}
</main>
