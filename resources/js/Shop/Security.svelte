<script lang="ts">
  import { createInfiniteQuery } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import Check from '@/ui/Check.svelte';
  import { clock, day } from '@/ui/format';

  /** What a lead may want to know of: who came, what was signed, exported, changed, and what was refused. */
  const me = here();
  let refused = $state(false);
  const events = createInfiniteQuery(() => ({
    queryKey: ['security', refused],
    queryFn: ({ pageParam }: { pageParam: number | null }) =>
      told(
        api.GET('/security', {
          params: {
            query: {
              ...(refused ? { only: 'refused' as const } : {}),
              ...(pageParam === null ? {} : { before: pageParam }),
            },
          },
        }),
      ),
    initialPageParam: null as number | null,
    getNextPageParam: (page) => page.before,
  }));
  const lines = $derived(events.data?.pages.flatMap((page) => page.events) ?? []);
</script>

<svelte:head><title>Who did what · Odd Bench</title></svelte:head>

<main class="px-4 py-4 md:px-5">
  <div class="flex flex-wrap items-end justify-between gap-x-6">
    <div>
      <h1>Who did what</h1>
      <p class="mt-1 text-sm text-quiet">
        Logins, signatures, exports, and changes of people, settings, prices, stock and papers: done or
        refused. Kept for 400 days.
      </p>
    </div>
    <Check bind:checked={refused}>Only what was refused</Check>
  </div>
  {#if events.isError}<p role="alert" class="mt-3 text-out">✕ {events.error.message}</p>{/if}
  {#if lines.length > 0}
    <div class="mt-3 overflow-x-auto">
      <table class="w-full min-w-[44rem] text-left">
        <thead>
          <tr class="rule-below text-sm text-quiet">
            <th class="py-1.5 pr-4 font-semibold">When</th>
            <th class="pr-4 font-semibold">Who</th>
            <th class="pr-4 font-semibold">What</th>
            <th class="pr-4 font-semibold">Of</th>
            <th class="font-semibold">From</th>
          </tr>
        </thead>
        <tbody>
          {#each lines as line (line.id)}
            <tr class="rule-below align-top">
              <td class="py-1.5 pr-4 whitespace-nowrap text-quiet"
                >{day(line.at, me.zone)} <span class="fig">{clock(line.at, me.zone)}</span></td
              >
              <td class="py-1.5 pr-4">{line.person ?? 'nobody'}</td>
              <td class={['py-1.5 pr-4', line.refused && 'font-semibold text-out']}
                >{line.refused ? '✕ refused: ' : ''}{line.what}</td
              >
              <td class="py-1.5 pr-4 text-quiet [overflow-wrap:anywhere]">{line.about ?? ''}</td>
              <td class="py-1.5 font-mono text-sm whitespace-nowrap text-quiet">{line.address ?? ''}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
    {#if events.hasNextPage}<p class="mt-3">
        <Button busy={events.isFetchingNextPage} onclick={() => events.fetchNextPage()}>Older</Button>
      </p>{/if}
  {:else if events.data}
    <p class="mt-4 text-quiet">{refused ? 'Nothing was refused.' : 'Nothing yet.'}</p>
  {/if}
</main>
