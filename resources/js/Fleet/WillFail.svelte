<script lang="ts">
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query';
  import { risksQuery } from '@/api/queries';
  import { here } from '@/api/session.svelte';
  import type { PartRisk, RiskyVisit } from '@/api/types';
  import { navigate, p, route } from '@/router';
  import Problem from '@/ui/Problem.svelte';
  import Tag from '@/ui/Tag.svelte';
  import { day, hours, money, percent } from '@/ui/format';
  import { rowKeys } from '@/ui/rows';
  import Filters from './Filters.svelte';
  import FleetPlaces from './FleetPlaces.svelte';
  import { spans, weeksOf } from './farm';
  import MakeJobs from './MakeJobs.svelte';

  /** What is likely to fail on the farm, machine by machine, and what changing it now saves. */
  const me = here();
  const asked = $derived(route.search as Record<string, string | undefined>);
  const weeks = $derived(weeksOf(asked['weeks']));
  const family = $derived(asked['family'] ?? '');
  const after = $derived(asked['after']);
  const query = createQuery(() => ({
    ...risksQuery(weeks, family, after),
    placeholderData: keepPreviousData,
  }));
  const it = $derived(query.data);
  const span = $derived(spans.find((one) => one.code === weeks)?.name ?? '');
  let left = $state<Record<string, boolean>>({});
  const chosen = $derived(
    it?.visits
      .map((visit) => ({
        ...visit,
        parts: visit.parts.filter((part) => !part.planned && !left[key(part)]),
      }))
      .filter((visit) => visit.parts.length > 0 && !left[visit.tag]) ?? [],
  );

  const key = (part: PartRisk): string => `${part.tag} ${part.position}`;

  function ask(now: Record<string, string>): void {
    const all = { weeks: String(weeks), family, ...now };
    void navigate('/will-fail', {
      search: Object.fromEntries(Object.entries(all).filter(([, value]) => value)),
      replace: !('after' in now),
    });
  }

  const life = (part: PartRisk): string => `${p('/lives/:class', { params: { class: part.partClass } })}`;

  $effect(() => rowKeys(() => it?.visits.map((visit) => visit.tag) ?? []));
</script>

<svelte:head><title>What will fail · Odd Bench</title></svelte:head>

{#snippet part(one: PartRisk, visit: RiskyVisit | null)}
  <li
    class="grid min-h-9 grid-cols-[1.5rem_minmax(0,1fr)_5.5rem_7.5rem_6rem] items-center gap-x-3 text-sm max-md:grid-cols-[1.5rem_minmax(0,1fr)_5.5rem]"
  >
    {#if visit && me.person.worksAtTheBench && !one.planned}
      <input
        type="checkbox"
        class="size-5 accent-action"
        aria-label="Change {one.name} of {one.tag}"
        checked={!left[key(one)] && !left[visit.tag]}
        onchange={(event) => (left[key(one)] = !event.currentTarget.checked)}
      />
    {:else}<span aria-hidden="true"></span>{/if}
    <span class="min-w-0 truncate" title={one.because}>
      {#if visit === null}<a class="mr-1" href={p('/machines/:tag', { params: { tag: one.tag } })}
          ><span class="font-mono">{one.tag}</span></a
        >{/if}
      <a class="underline" href={life(one)}>{one.name}</a>
      <span class="text-quiet"
        >{#if one.ageHours !== null}<span class="fig">{hours(one.ageHours)}</span> h{/if}{#if one.changeAtHours !== null},
          best at <span class="fig">{hours(Math.round(one.changeAtHours / 10) * 10)}</span> h{/if}{one.planned
          ? ', a job is to change it'
          : ''}</span
      >
    </span>
    <span
      class="flex items-center gap-1.5"
      role="img"
      aria-label="fails within {span} with {percent(one.risk)} %"
    >
      <span class="h-2.5 w-10 border border-line bg-white"
        ><span class="block h-full bg-waiting" style="width: {Math.min(100, one.risk * 100)}%"></span></span
      ><span class="fig">{percent(one.risk)}</span> %
    </span>
    <span class="text-right max-md:hidden"
      >{#if one.savesMinor !== null && visit}<span
          class="fig"
          title="planned {money(one.plannedMinor ?? 0, me.currency)}, when it fails {money(
            one.failureMinor ?? 0,
            me.currency,
          )}">{one.savesMinor > 0 ? money(one.savesMinor, me.currency) : 'comes along'}</span
        >{/if}</span
    >
    <span class={['text-right max-md:hidden', one.free === 0 && 'text-out']}
      >{one.free === 0 ? 'none free' : `${one.free} on the shelf`}</span
    >
  </li>
{/snippet}

<main class="grid lg:min-h-[calc(100vh-7.6rem)] lg:grid-cols-[minmax(0,1fr)_330px]">
  <div class="min-w-0 px-4 py-2 md:px-5">
    <FleetPlaces />
    <div class="mt-1 flex flex-wrap items-end gap-x-4">
      <h1 class="self-center">What will fail</h1>
      <Filters label="Within" {weeks} {family} families={me.words.families} onask={ask} />
    </div>
    {#if query.isError}<div class="mt-3"><Problem message={query.error.message} /></div>{/if}
    {#if it}
      {#if it.visits.length > 0}
        <ul class="mt-3 border-t border-line">
          {#each it.visits as visit (visit.tag)}
            <li class="rule-below py-2">
              <div class="flex flex-wrap items-baseline gap-x-3">
                {#if me.person.worksAtTheBench}<input
                    type="checkbox"
                    class="size-5 self-center accent-action"
                    aria-label="Visit {visit.tag}"
                    checked={!left[visit.tag]}
                    onchange={(event) => (left[visit.tag] = !event.currentTarget.checked)}
                  />{/if}
                <a href={p('/machines/:tag', { params: { tag: visit.tag } })} data-line={visit.tag}
                  ><Tag tag={visit.tag} /></a
                >
                <span>{visit.familyName}</span>
                <span class="text-sm text-quiet"
                  >{visit.stands ?? ''}{visit.serviceDue
                    ? `; due: ${visit.serviceDue.toLowerCase()}`
                    : ''}</span
                >
                {#if visit.openJob !== null}<a
                    class="text-sm font-semibold text-action underline"
                    href={p('/jobs/:id', { params: { id: String(visit.openJob) } })}>open on the bench</a
                  >{/if}
                {#if visit.savesMinor !== null}
                  <span class="ml-auto text-sm"
                    ><span class="text-quiet">now</span>
                    <span class="fig">{money(visit.plannedMinor ?? 0, me.currency)}</span><span
                      class="text-quiet">, saves</span
                    >
                    <span class="fig font-semibold">{money(visit.savesMinor, me.currency)}</span></span
                  >
                {/if}
              </div>
              <ul class="mt-0.5">
                {#each visit.parts as one (one.position)}{@render part(one, visit)}{/each}
              </ul>
            </li>
          {/each}
        </ul>
        {#if it.next}
          <button
            type="button"
            class="mt-3 min-h-11 font-semibold text-action underline"
            onclick={() => ask({ after: it.next ?? '' })}>The next {it.worth} by what they save</button
          >
        {/if}
      {:else}
        <p class="mt-4 text-quiet">
          {it.machines === 0
            ? 'Machines held as “own farm” are looked ahead for here, part by part.'
            : `Nothing on ${it.machines} machines is worth changing before it fails within ${span}.`}
        </p>
      {/if}
      {#if it.notByTheClock.length > 0}
        <section class="mt-5" aria-labelledby="not-by-clock">
          <h2 id="not-by-clock">Likely to fail, and not changed by the clock</h2>
          <p class="text-sm text-quiet">
            A new one of these fails as easily as an old one, or costs no more when it fails. Keep a spare.
          </p>
          <ul class="mt-1">
            {#each it.notByTheClock as one (key(one))}{@render part(one, null)}{/each}
          </ul>
        </section>
      {/if}
    {:else if !query.isError}<p class="mt-4 text-quiet" role="status">Looking ahead…</p>{/if}
  </div>
  <aside class="border-line bg-side px-5 py-4 max-lg:border-t lg:border-l">
    <h2>Chosen</h2>
    {#if it}
      <p class="mt-1 text-sm">
        <span class="fig">{chosen.length}</span>
        {chosen.length === 1 ? 'machine' : 'machines'},
        <span class="fig">{chosen.reduce((all, visit) => all + visit.parts.length, 0)}</span> parts, of
        <span class="fig">{it.machines}</span> machines on the farm.
      </p>
      {#if it.plannedMinor !== null && it.savesMinor !== null}
        <dl class="mt-2 grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 gap-y-0.5 text-sm">
          <dt>All listed, planned</dt>
          <dd class="fig text-right">{money(it.plannedMinor, me.currency)}</dd>
          <dt>saves against waiting</dt>
          <dd class="fig text-right font-semibold">{money(it.savesMinor, me.currency)}</dd>
        </dl>
      {/if}
      <p class="mt-2 text-sm">
        Left alone, one of these parts fails within {span} with
        <strong class="fig">{percent(it.oneFails)}</strong> %.
      </p>
      {#if me.person.worksAtTheBench}<div class="mt-3"><MakeJobs visits={chosen} /></div>{/if}
      <p class="mt-3 text-sm text-quiet">
        A machine on the bench gets them into its open job. Parts on the shelf are promised; guides come
        along.
      </p>
      <h2 class="mt-5">Not foretold</h2>
      <p class="mt-1 text-sm text-quiet">
        {#if it.unknownAge > 0}
          Of <span class="fig">{it.unknownAge}</span> parts nobody knows the age: they came with a used machine,
          or were fitted used. Look at them; the first new one counts.
        {:else}The age of every part is known.{/if}
      </p>
      <h2 class="mt-5">How this is worked out</h2>
      <p class="mt-1 text-sm text-quiet">
        Each part by the life of its kind, here or by the trade’s word; what it costs when it fails holds
        finding and lost hours. Set those under <a class="underline" href={p('/shop')}>Shop</a>.
        {#if it.workedOutAt}Lives worked out {day(it.workedOutAt, me.zone)}.{/if}
      </p>
    {/if}
  </aside>
</main>
