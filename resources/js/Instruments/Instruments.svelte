<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { sheetsQuery } from '@/api/queries';
  import { p, route } from '@/router';
  import Problem from '@/ui/Problem.svelte';
  import { rowKeys } from '@/ui/rows';
  import ForJob from './ForJob.svelte';
  import SheetForm from './SheetForm.svelte';

  const sheets = createQuery(() => sheetsQuery());
  const all = $derived(sheets.data?.instruments ?? []);
  const chosen = $derived(all.find((sheet) => sheet.code === route.params.name) ?? all[0]);

  /** The job it was opened from, if it was; kept along from instrument to instrument. */
  const asked = Number(new URLSearchParams(location.search).get('job'));
  const job = Number.isInteger(asked) && asked > 0 ? asked : null;
  const query = job === null ? '' : `?job=${job}`;

  $effect(() => rowKeys(() => all.map((sheet) => sheet.code)));
</script>

<svelte:head><title>{chosen?.name ?? 'Instruments'} · Odd Bench</title></svelte:head>

<main class="grid gap-5 px-4 py-4 md:grid-cols-[190px_minmax(0,1fr)] md:px-5">
  <nav aria-label="Instruments">
    <h1 class="text-[0.9375rem]">Instruments</h1>
    <ul class="mt-1 max-md:flex max-md:flex-wrap max-md:gap-x-3">
      {#each all as sheet (sheet.code)}
        <li>
          <a
            href={p('/instruments/:name', { params: { name: sheet.code } }) + query}
            data-line={sheet.code}
            aria-current={sheet.code === chosen?.code ? 'page' : undefined}
            class={[
              'flex min-h-9 items-center border-l-4 pl-2.5 text-[0.9375rem] leading-tight hover:bg-wash max-lg:min-h-11',
              sheet.code === chosen?.code ? 'border-action font-semibold' : 'border-transparent text-quiet',
            ]}>{sheet.name}</a
          >
        </li>
      {/each}
    </ul>
  </nav>
  <div class="min-w-0">
    {#if job !== null}<ForJob {job} />{/if}
    {#if sheets.isError}<Problem message={sheets.error.message} />{/if}
    {#if chosen}{#key chosen.code}<SheetForm sheet={chosen} {job} />{/key}{/if}
  </div>
</main>
