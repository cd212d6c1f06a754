<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, asItIs, told } from '@/api/client';
  import { wrote } from '@/api/writes';
  import { stockFilesQuery } from '@/api/queries';
  import type { StockFile } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import FileButton from '@/ui/FileButton.svelte';
  import Button from '@/ui/Button.svelte';
  import { clock, day } from '@/ui/format';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';
  import ShelfPlaces from './ShelfPlaces.svelte';

  /** Parts, stock and movements as tables: out to keep elsewhere, in after every row’s fate was seen. */
  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const files = createQuery(() => stockFilesQuery());
  type Kind = StockFile['kind'];
  let kind = $state<Kind>('parts');
  let shown = $state<StockFile | null>(null);
  let fate = $state('');

  const words: Record<string, string> = {
    new: 'new',
    changed: 'changed',
    same: 'as it is',
    moves: 'moves stock',
    odd: 'rather a slip',
    wrong: 'wrong',
  };
  const marks: Record<string, string> = {
    new: '+',
    changed: '±',
    same: '=',
    moves: '±',
    odd: '▢',
    wrong: '✕',
  };
  const count = (file: StockFile, of: string): number => file.counts[of] ?? 0;
  const rows = (file: StockFile): number => Object.values(file.counts).reduce((a, b) => a + b, 0);
  const matters = (file: StockFile): number => rows(file) - count(file, 'same') - count(file, 'wrong');

  const bring = (file: File | undefined) =>
    file &&
    work.do(async () => {
      const params = { path: { kind }, query: { name: file.name } };
      shown = await told(api.POST('/stock-files/{kind}', { params, ...asItIs(file) }));
      fate = '';
      wrote(client, 'table');
    });
  const look = (id: number, after = 0, only = fate) =>
    work.do(async () => {
      const page = await told(
        api.GET('/stock-files/{file}', {
          params: { path: { file: id }, query: { after, ...(only ? { fate: only } : {}) } },
        }),
      );
      fate = only;
      shown = after > 0 && shown ? { ...page, rows: [...shown.rows, ...page.rows] } : page;
    });
  const apply = (file: StockFile, onlySound: boolean) =>
    work.do(async () => {
      await told(
        api.POST('/stock-files/{file}/apply', { params: { path: { file: file.id } }, body: { onlySound } }),
      );
      shown = await told(
        api.GET('/stock-files/{file}', { params: { path: { file: file.id }, query: { after: 0 } } }),
      );
      fate = '';
      wrote(client, 'table');
    });
</script>

<svelte:head><title>Tables in and out · Odd Bench</title></svelte:head>

<main class="px-4 py-3 md:px-5">
  <ShelfPlaces />
  <h1 class="mt-2">Tables in and out</h1>
  <div class="mt-3 grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1fr)_20rem]">
    <div class="min-w-0">
      {#if shown}
        {@const file = shown}
        <h2 class="rule-below flex flex-wrap items-baseline justify-between gap-x-3 pb-1.5">
          <span class="min-w-0 break-words"
            >{file.name} <span class="font-normal text-quiet">{file.kind}, {rows(file)} rows</span></span
          >
          <Button kind="quiet" onclick={() => (shown = null)}>Another table</Button>
        </h2>
        {#if file.appliedAt}
          <p class="mt-2 text-well">
            ✓ Taken in {day(file.appliedAt, me.zone)}
            {clock(file.appliedAt, me.zone)}: {matters(file)} rows changed something{count(file, 'wrong') > 0
              ? `, ${count(file, 'wrong')} wrong ${count(file, 'wrong') === 1 ? 'one was' : 'ones were'} left out`
              : ''}.
          </p>
        {:else}
          <p class="mt-2">
            Nothing has changed yet.
            {#if count(file, 'wrong') > 0}<span class="font-semibold text-out"
                >✕ {count(file, 'wrong')} of {rows(file)} rows cannot be taken in.</span
              >{:else if matters(file) === 0}<span>All of it is as it stands here already.</span>{:else}<span
                class="text-well">✓ Every row can be taken in.</span
              >{/if}
            {#if count(file, 'odd') > 0}<span class="text-waiting"
                >▢ {count(file, 'odd')} look like a slip; see them first.</span
              >{/if}
          </p>
          {#if me.person.keepsBooks && matters(file) > 0}
            <p class="mt-2 flex flex-wrap gap-2">
              {#if count(file, 'wrong') === 0}<Button
                  kind="main"
                  busy={work.busy}
                  onclick={() => apply(file, false)}>Take all {rows(file)} rows in</Button
                >{:else}<Button busy={work.busy} onclick={() => apply(file, true)}
                  >Take in the {rows(file) - count(file, 'wrong')} sound rows only</Button
                >{/if}
            </p>
          {/if}
        {/if}
        {#if work.refusal}<div class="mt-2"><Problem message={work.refusal.message} /></div>{/if}
        <p class="mt-3 flex flex-wrap gap-x-4" role="group" aria-label="Show rows">
          <button
            class={['min-h-9 text-sm underline', fate === '' ? 'font-bold' : 'text-quiet']}
            aria-pressed={fate === ''}
            onclick={() => look(file.id, 0, '')}>all rows</button
          >
          {#each Object.entries(file.counts).filter(([, n]) => n > 0) as [of, n] (of)}
            <button
              class={['min-h-9 text-sm underline', fate === of ? 'font-bold' : 'text-quiet']}
              aria-pressed={fate === of}
              onclick={() => look(file.id, 0, of)}>{words[of] ?? of} <span class="fig">{n}</span></button
            >
          {/each}
        </p>
        <table class="mt-1 w-full border-t border-line">
          <thead>
            <tr class="text-left text-sm text-quiet"
              ><th class="py-1 font-normal">Line</th><th class="font-normal">What</th><th class="font-normal"
                >Becomes of it</th
              ></tr
            >
          </thead>
          <tbody>
            {#each file.rows as row (row.line)}
              <tr class="rule-below align-baseline">
                <td class="fig w-14 py-1 text-quiet">{row.line}</td>
                <td class="min-w-0 py-1 pr-4 break-words">{row.what}</td>
                <td
                  class={[
                    'py-1',
                    row.fate === 'wrong' && 'text-out',
                    row.fate === 'odd' && 'text-waiting',
                    row.fate === 'same' && 'text-quiet',
                  ]}>{marks[row.fate]} {words[row.fate]}{row.message ? `: ${row.message}` : ''}</td
                >
              </tr>
            {/each}
          </tbody>
        </table>
        {#if file.next !== null}<Button
            kind="quiet"
            busy={work.busy}
            onclick={() => look(file.id, file.next ?? 0)}>Show more</Button
          >{/if}
      {:else}
        <h2 class="rule-below pb-1.5">In</h2>
        {#if me.person.meetsOwners}
          <div class="mt-3 grid gap-3">
            <Press
              label="What the table holds"
              bind:value={kind}
              choices={[
                { code: 'parts', name: 'Parts' },
                { code: 'stock', name: 'Stock, as counted' },
                { code: 'movements', name: 'Movements' },
              ]}
            />
            <p class="max-w-prose text-sm text-quiet">
              CSV in UTF-8, commas or semicolons, decimal comma or point. The first row names the columns:
              <span class="fig break-words text-ink">{files.data?.columns[kind] ?? ''}</span>
            </p>
            <FileButton kind="main" accept=".csv,text/csv,text/plain" busy={work.busy} onfile={bring}
              >{work.busy ? 'Trying each row…' : 'Choose a table to try'}</FileButton
            >
            <p class="text-sm text-quiet">It is tried first; nothing changes until you say so.</p>
          </div>
          {#if work.refusal}<div class="mt-2"><Problem message={work.refusal.message} /></div>{/if}
        {:else}<p class="mt-2 text-quiet">Your role only looks; tables can go out.</p>{/if}
      {/if}
    </div>
    <aside>
      <h2 class="rule-below pb-1.5">Out</h2>
      <ul>
        {#each [['parts', 'Parts, with where each is bought'], ['stock', 'Stock, bin by bin'], ['movements', 'All movements']] as [name, what] (name)}
          <li class="rule-below">
            <a
              class="inline-flex min-h-11 items-center text-action underline"
              href="/files/stock/{name}.csv"
              download>{what}</a
            >
          </li>
        {/each}
      </ul>
      {#if (files.data?.files.length ?? 0) > 0}
        <h2 class="rule-below mt-6 pb-1.5">Lately</h2>
        <ul class="text-sm">
          {#each files.data?.files ?? [] as file (file.id)}
            <li class="rule-below">
              <button
                class="w-full min-h-11 py-1 text-left leading-tight"
                onclick={() => look(file.id, 0, '')}
              >
                <span class="break-words underline">{file.name}</span>
                <span class="block text-quiet"
                  >{file.kind}, {file.by}, {day(file.at, me.zone)} · {file.appliedAt
                    ? 'taken in'
                    : 'tried, not taken in'}</span
                >
              </button>
            </li>
          {/each}
        </ul>
      {/if}
    </aside>
  </div>
</main>
