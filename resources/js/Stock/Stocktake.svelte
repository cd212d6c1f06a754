<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, Refusal, told } from '@/api/client';
  import { wrote } from '@/api/writes';
  import { stocktakesQuery } from '@/api/queries';
  import type { BinSheet, Stocktakes } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { clock, day, money } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';
  import CountBin from './CountBin.svelte';
  import Differences from './StocktakeDifferences.svelte';
  import { onLabel } from './onLabel';
  import ShelfPlaces from './ShelfPlaces.svelte';

  /** Bins are scanned and counted without being told what should be there; the differences are posted in one go. */
  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const takes = createQuery(() => stocktakesQuery());
  const take = $derived(takes.data?.current ?? null);
  let bins = $state('');
  let scanned = $state('');
  let sheet = $state<BinSheet | null>(null);
  let field: HTMLInputElement | undefined = $state();
  let sure = $state<'' | 'post' | 'discard'>('');

  const keep = (all: Stocktakes): void => {
    wrote(client, 'count', ['stocktakes'], all);
  };
  const start = () =>
    work.do(async () => {
      keep(await told(api.POST('/stocktakes', { body: { bins: bins.trim() || null } })));
      bins = '';
    });
  const open = (bin: string) =>
    work.do(async () => {
      if (!take) return;
      sheet = await told(
        api.PUT('/stocktakes/{stocktake}/bins/{bin}', { params: { path: { stocktake: take.id, bin } } }),
      );
      scanned = '';
    });

  /** A scanner sends what the label holds: a bin, a part’s number, or the address of the part. */
  async function scan(): Promise<void> {
    const text = onLabel(scanned);
    if (text === '') return;
    const known = take?.lines.some((line) => line.bin === text.toUpperCase());
    if (known || !scanned.includes('/')) {
      if (await open(text)) return;
      if (!work.refusal?.for('bin')) return;
    }
    await work.do(async () => {
      const part = await told(api.GET('/parts/{number}', { params: { path: { number: text } } }));
      work.busy = false;
      await open(part.part.bin);
    });
  }
  async function end(post: boolean): Promise<void> {
    await work.do(async () => {
      if (!take) return;
      keep(
        await told(
          api.POST('/stocktakes/{stocktake}/end', {
            params: { path: { stocktake: take.id } },
            body: { post },
          }),
        ),
      );
      sheet = null;
      sure = '';
      wrote(client, 'stocktake');
    });
    sure = '';
  }
  const left = async (all: Stocktakes | null): Promise<void> => {
    sheet = null;
    if (all) keep(all);
    wrote(client, 'count');
  };
  $effect(() => {
    if (take && !sheet) field?.focus();
  });

  const done = $derived(take?.lines.filter((line) => line.state === 'done').length ?? 0);
  const marks = { waiting: '○', begun: '◐', done: '✓' } as const;
</script>

<svelte:head><title>Stocktake · Odd Bench</title></svelte:head>

<main class="px-4 py-3 md:px-5">
  <ShelfPlaces />
  <h1 class="mt-2">
    Stocktake
    {#if take}<span class="ml-1 text-sm font-normal text-quiet"
        >{take.bins ? `bins ${take.bins}…` : 'all bins'}, begun by {take.by},
        {day(take.startedAt, me.zone)}
        {clock(take.startedAt, me.zone)}</span
      >{/if}
  </h1>
  {#if takes.isPending}
    <p class="mt-3 text-quiet" role="status">Fetching the stocktake…</p>
  {:else if !take}
    <p class="mt-2 max-w-prose">
      Bins are scanned and counted without being told how many there should be. Anybody can count along, on
      any screen, and go on tomorrow. Nothing changes until the differences are posted.
    </p>
    {#if me.person.meetsOwners}
      <Form class="mt-3 flex flex-wrap items-end gap-3" onsend={() => start()}>
        <div class="w-56">
          <Field
            label="Only bins that begin with"
            bind:value={bins}
            mono
            maxlength={12}
            hint="empty: all of them"
            error={work.error('bins')}
          />
        </div>
        <div class="pb-6"><Button kind="main" type="submit" busy={work.busy}>Begin a stocktake</Button></div>
      </Form>
    {/if}
  {:else if sheet}
    <CountBin stocktake={take.id} bind:sheet {left} />
  {:else}
    {#if me.person.meetsOwners}
      <Form class="mt-3 flex flex-wrap items-end gap-3" onsend={() => scan()}>
        <label class="block w-72 max-w-full text-sm font-semibold"
          >Scan a bin, or type it
          <input
            bind:this={field}
            bind:value={scanned}
            class="field mt-1 min-h-14 font-mono text-lg font-normal"
            autocomplete="off"
            spellcheck="false"
            autocapitalize="characters"
          />
        </label>
        <Button kind="main" type="submit" busy={work.busy}>Count it</Button>
      </Form>
    {/if}
    {#if work.refusal}<div class="mt-2"><Problem message={work.refusal.message} /></div>{/if}
    <div class="mt-4 grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)]">
      <section aria-label="Bins">
        <h2 class="rule-below pb-1.5">
          Bins <span class="font-normal text-quiet"
            ><span class="fig">{done}</span> of <span class="fig">{take.lines.length}</span> done</span
          >
        </h2>
        <ul class="max-h-[55vh] columns-2 gap-x-6 overflow-y-auto sm:columns-3 lg:columns-2">
          {#each take.lines as line (line.bin)}
            <li class="rule-below break-inside-avoid">
              <button
                class={[
                  'flex min-h-11 w-full items-center justify-between gap-2 text-left',
                  line.state === 'done' && 'text-quiet',
                ]}
                disabled={!me.person.meetsOwners}
                onclick={() => open(line.bin)}
              >
                <span
                  ><span
                    aria-hidden="true"
                    class={[line.state === 'done' && 'text-well', line.state === 'begun' && 'text-waiting']}
                    >{marks[line.state]}</span
                  >
                  <span class="fig font-semibold">{line.bin}</span>
                  <span class="sr-only">{line.state}</span></span
                >
                <span class="truncate text-sm text-quiet">{line.by ?? ''}</span>
              </button>
            </li>
          {/each}
        </ul>
      </section>
      <Differences {take} {done} bind:sure busy={work.busy} {end} />
    </div>
  {/if}
  {#if (takes.data?.past.length ?? 0) > 0 && !sheet}
    <h2 class="rule-below mt-6 pb-1.5">Before</h2>
    <ul class="text-sm">
      {#each takes.data?.past ?? [] as past (past.id)}
        <li class="rule-below flex flex-wrap justify-between gap-x-4 py-1.5">
          <span
            >{day(past.startedAt, me.zone)}, {past.by}
            <span class="text-quiet">{past.bins ? `bins ${past.bins}…` : 'all bins'}</span></span
          >
          <span class="text-quiet"
            >{past.posted
              ? `${past.corrections} ${past.corrections === 1 ? 'correction' : 'corrections'}, ${money(past.valueMinor, me.currency)}`
              : 'dropped'}</span
          >
        </li>
      {/each}
    </ul>
  {/if}
  {#if takes.isError}<p role="alert" class="mt-3 text-out">✕ {(takes.error as Refusal).message}</p>{/if}
</main>
