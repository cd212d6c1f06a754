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
  const main = $derived(all.filter((sheet) => sheet.of === null));
  const chosen = $derived(all.find((sheet) => sheet.code === route.params.name) ?? all[0]);

  const ways = $derived(all.filter((sheet) => (sheet.of ?? sheet.code) === (chosen?.of ?? chosen?.code)));

  /** The job it was opened from, if it was; kept along from instrument to instrument. */
  const asked = Number(new URLSearchParams(location.search).get('job'));
  const job = Number.isInteger(asked) && asked > 0 ? asked : null;
  const query = job === null ? '' : `?job=${job}`;

  $effect(() => rowKeys(() => main.map((sheet) => sheet.code)));
</script>

<svelte:head><title>{chosen?.name ?? 'Instruments'} · Odd Bench</title></svelte:head>

<main class="grid gap-5 px-4 py-4 md:grid-cols-[190px_minmax(0,1fr)] md:px-5">
  <nav aria-label="Instruments">
    <h1 class="text-[0.9375rem]">Instruments</h1>
    <ul class="mt-1 max-md:flex max-md:flex-wrap max-md:gap-x-3">
      {#each main as sheet (sheet.code)}
        <li>
          <a
            href={p('/instruments/:name', { params: { name: sheet.code } }) + query}
            data-line={sheet.code}
            aria-current={sheet.code === (chosen?.of ?? chosen?.code) ? 'page' : undefined}
            class={[
              'flex min-h-9 items-center border-l-4 pl-2.5 text-[0.9375rem] leading-tight hover:bg-wash max-lg:min-h-11',
              sheet.code === (chosen?.of ?? chosen?.code)
                ? 'border-action font-semibold'
                : 'border-transparent text-quiet',
            ]}>{sheet.name}</a
          >
        </li>
      {/each}
    </ul>
  </nav>
  <div class="min-w-0">
    {#if job !== null}<ForJob {job} />{/if}
    {#if sheets.isError}<Problem message={sheets.error.message} />{/if}
    {#if ways.length > 1}
      <ul class="mb-2 flex flex-wrap gap-x-4 text-sm" aria-label="Ways to ask">
        {#each ways as way (way.code)}
          <li>
            <a
              href={p('/instruments/:name', { params: { name: way.code } }) + query}
              aria-current={way.code === chosen?.code ? 'true' : undefined}
              class={[
                'inline-flex min-h-9 items-center max-lg:min-h-11',
                way.code === chosen?.code ? 'font-bold' : 'text-quiet underline',
              ]}>{way.name}</a
            >
          </li>
        {/each}
      </ul>
    {/if}
    {#if chosen}{#key chosen.code}<SheetForm sheet={chosen} {job} />{/key}{/if}
  </div>
</main>
