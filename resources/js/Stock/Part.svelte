<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, asItIs, told } from '@/api/client';
  import { wrote } from '@/api/writes';
  import { partQuery } from '@/api/queries';
  import type { PartPage } from '@/api/types';
  import { p, route } from '@/router';
  import { here } from '@/api/session.svelte';
  import FileButton from '@/ui/FileButton.svelte';
  import Button from '@/ui/Button.svelte';
  import { day, hours, money } from '@/ui/format';
  import { smaller } from '@/ui/photograph';
  import Problem from '@/ui/Problem.svelte';
  import Tag from '@/ui/Tag.svelte';
  import { Work } from '@/ui/work.svelte';
  import Batches from './Batches.svelte';
  import Bought from './Bought.svelte';
  import Demand from './Demand.svelte';
  import EditPart from './EditPart.svelte';
  import MadeHere from './MadeHere.svelte';
  import MoveForm from './MoveForm.svelte';
  import Movements from './Movements.svelte';
  import Promised from './Promised.svelte';
  import Relations from './Relations.svelte';

  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const number = $derived((route.params as Record<string, string>)['number'] ?? '');
  const part = createQuery(() => partQuery(number));
  let editing = $state(false);

  const keep = (page: PartPage): void => {
    wrote(client, 'stock', ['part', number], page);
  };
  const photograph = (file: File | undefined) =>
    file &&
    work.do(async () => {
      const params = { path: { number } };
      keep(await told(api.POST('/parts/{number}/photograph', { params, ...asItIs(await smaller(file)) })));
    });

  const grades = { new: '', tested: 'used, tested', untested: 'used, untested' } as const;
  const named = (all: { code: string; name: string }[], codes: string[]): string =>
    codes.map((code) => all.find((one) => one.code === code)?.name ?? code).join(', ');
  const positions = $derived(me.words.families.flatMap((family) => family.positions));
  const fits = $derived.by(() => {
    const it = part.data?.fits;
    if (!it) return '';
    const said = [
      it.families.length > 0 ? named(me.words.families, it.families) : '',
      it.positions.length > 0 ? named(positions, it.positions) : '',
      ...Object.entries(it.traits).map(([trait, value]) => `${trait.replace(/_/g, ' ')} ${value}`),
    ].filter(Boolean);
    return said.length > 0 ? said.join(' · ') : 'every machine with such a position';
  });
</script>

<svelte:head><title>{part.data?.part.name ?? 'Part'} · Odd Bench</title></svelte:head>

{#if part.data}
  {@const page = part.data}
  {@const it = page.part}
  <main class="grid lg:min-h-[calc(100vh-7.6rem)] lg:grid-cols-[minmax(0,1fr)_370px]">
    <div class="min-w-0 px-4 py-3 md:px-5">
      <div class="flex items-start gap-4">
        <div class="min-w-0 grow">
          <p class="text-sm"><a class="text-quiet underline" href={p('/shelf')}>Shelf</a></p>
          <h1 class="mt-1 break-words">
            {it.name}
            {#if it.grade !== 'new'}<span class="text-sm font-normal text-waiting">▢ {grades[it.grade]}</span
              >{/if}
          </h1>
          <p class="text-quiet">
            {it.className} · <span class="fig">{it.number}</span>{page.words
              ? ` · also called ${page.words}`
              : ''}
          </p>
          <p class="mt-2 text-lg">
            <span class="fig font-semibold">{it.onHand}</span> on hand{#each page.bins as bin, i (bin.bin)}{i ===
              0
                ? ','
                : ' and'}
              {#if page.bins.length > 1}<span class="fig">{bin.onHand}</span>{/if} in bin
              <span class="fig font-semibold">{bin.bin}</span>{:else}, bin
              <span class="fig font-semibold">{it.bin}</span>{/each}
            <span class="text-quiet"
              >· worth <span class="fig">{money(it.valueMinor, me.currency)}</span></span
            >
          </p>
        </div>
        {#if page.photo}<img
            src={page.photo}
            alt="Photograph of {it.name}"
            class="max-h-28 max-w-40 shrink-0 border border-line object-contain"
          />{/if}
      </div>
      <Batches {page} {keep} />
      {#if page.successor}
        <p class="mt-2 text-waiting">
          ▢ Not bought any more: what is left is used up, and
          <a class="underline" href={p('/shelf/:number', { params: { number: page.successor.number } })}
            >{page.successor.name}</a
          > is ordered instead.
        </p>
      {/if}
      {#if page.supply}<Demand supply={page.supply} partClass={page.part.class} />{/if}
      <p class="mt-3 flex flex-wrap items-baseline gap-x-2">
        <span class="font-semibold">Fits</span> <span class="min-w-0 break-words">{fits}</span>
        {#if page.shelfLifeWeeks !== null}<span class="text-quiet"
            >· keeps <span class="fig">{page.shelfLifeWeeks}</span> weeks</span
          >{/if}
      </p>
      {#if page.notes}<p class="mt-1 max-w-prose break-words whitespace-pre-line">{page.notes}</p>{/if}
      <p class="mt-1 flex flex-wrap items-center gap-x-3 text-sm">
        {#if me.person.meetsOwners}
          <Button kind="quiet" onclick={() => (editing = true)}>Change what it is…</Button>
          <FileButton kind="quiet" accept="image/*" onfile={photograph}
            >{page.photo ? 'Another photograph' : 'Photograph it'}</FileButton
          >
        {/if}
        <a class="text-quiet underline" href={p('/shelf/:number/label', { params: { number } })}>Bin label</a>
      </p>
      {#if work.refusal}<Problem message={work.refusal.message} />{/if}
      <div class="grid gap-x-8 xl:grid-cols-2">
        <div><Bought {page} {keep} /></div>
        <div><Relations {page} {keep} /></div>
      </div>
      {#if page.part.grade === 'new'}<MadeHere {page} {keep} />{/if}
      <Movements {page} {keep} />
    </div>
    <aside class="border-line bg-side px-5 py-4 max-lg:border-t lg:border-l">
      {#if me.person.meetsOwners}<MoveForm {page} {keep} />{:else}<p class="text-quiet">
          Your role only looks.
        </p>{/if}
      <Promised {page} {keep} />
      <h2 class="rule-below mt-6 pb-1">Sits in</h2>
      <ul>
        {#each page.fitted as one (one.tag + one.position)}
          <li class="rule-below flex flex-wrap items-baseline justify-between gap-x-2 py-1.5">
            <span
              ><a href={p('/machines/:tag', { params: { tag: one.tag } })}><Tag tag={one.tag} /></a>
              {one.position}</span
            >
            <span class="text-sm text-quiet"
              >{one.hours === null ? '' : `${hours(one.hours)} h, `}{day(one.since, me.zone)}</span
            >
          </li>
        {:else}
          <li class="py-1.5 text-quiet">No machine that is known.</li>
        {/each}
      </ul>
    </aside>
  </main>
  <EditPart bind:open={editing} {page} {keep} />
{:else if part.isError}
  <main class="p-8">
    <h1>Not found</h1>
    <p class="mt-2">{part.error.message}</p>
  </main>
{:else}
  <p class="p-8 text-quiet" role="status">Fetching the part…</p>
{/if}
