<script lang="ts">
  import { createQuery, keepPreviousData, useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { farmQuery } from '@/api/queries';
  import { here } from '@/api/session.svelte';
  import type { FarmMachine, Rack } from '@/api/types';
  import { wrote } from '@/api/writes';
  import { navigate, p, route } from '@/router';
  import Problem from '@/ui/Problem.svelte';
  import Tag from '@/ui/Tag.svelte';
  import { hours } from '@/ui/format';
  import { Work } from '@/ui/work.svelte';
  import DrawRacks from './DrawRacks.svelte';
  import FarmAside from './FarmAside.svelte';
  import Filters from './Filters.svelte';
  import FleetPlaces from './FleetPlaces.svelte';
  import { type Mark, marks, marksOf, sizeOf, spans, standing, weeksOf } from './farm';
  import RackDrawing from './RackDrawing.svelte';
  import Sign from './Sign.svelte';

  /** All machines of the farm as they stand in the room. */
  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const asked = $derived(route.search as Record<string, string | undefined>);
  const weeks = $derived(weeksOf(asked['weeks']));
  const only = $derived(marks.find((mark) => mark.code === asked['mark'])?.code ?? '');
  const family = $derived(asked['family'] ?? '');
  const query = createQuery(() => ({ ...farmQuery(weeks, 'farm'), placeholderData: keepPreviousData }));
  const farm = $derived(query.data);
  const places = $derived(standing(farm?.machines ?? []));
  const nowhere = $derived(farm?.machines.filter((machine) => machine.rack === null) ?? []);
  const size = $derived(farm ? sizeOf(farm) : 'large');
  const running = $derived(farm?.machines.filter((machine) => machine.place === 'service').length ?? 0);
  let moving = $state(false);
  let hand = $state<string | null>(null);
  let drawing = $state(false);

  /** Filters stand in the address, so that a look at the farm can be sent to somebody. */
  function ask(now: Partial<Record<'weeks' | 'mark' | 'family', string>>): void {
    const all = { weeks: String(weeks), mark: only, family, ...now };
    void navigate('/farm', {
      search: Object.fromEntries(
        Object.entries(all).filter(([key, value]) => value && !(key === 'weeks' && value === '2')),
      ),
      replace: true,
    });
  }

  const stand = (tag: string, rack: Rack | null, shelf: number | null, place: number | null, swap: boolean) =>
    work.do(async () => {
      await told(api.POST('/fleet/standing', { body: { tag, rack: rack?.id ?? null, shelf, place, swap } }));
      hand = null;
      wrote(client, 'racks');
    });

  function at(rack: Rack, shelf: number, place: number, there: FarmMachine | undefined): void {
    if (hand === null) hand = there?.tag ?? null;
    else if (there?.tag === hand) hand = null;
    else void stand(hand, rack, shelf, place, there !== undefined);
  }

  const count = (mark: Mark): number =>
    farm?.machines.filter((machine) => marksOf(machine, farm.likely).includes(mark)).length ?? 0;
</script>

<svelte:head><title>Farm · Odd Bench</title></svelte:head>

<svg width="0" height="0" class="absolute" aria-hidden="true">
  <pattern id="red-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
    <rect width="7" height="7" fill="#a3171c" /><rect width="3.5" height="7" fill="#8f1217" />
  </pattern>
</svg>

<main class={['grid', size !== 'tiny' && 'lg:min-h-[calc(100vh-7.6rem)] lg:grid-cols-[minmax(0,1fr)_330px]']}>
  <div class="min-w-0 px-4 py-2 md:px-5">
    <FleetPlaces />
    <div class="mt-1 flex flex-wrap items-end gap-x-4 gap-y-1">
      <h1 class="mr-1 self-center">
        Own farm {#if farm}<span class="ml-1 text-sm font-normal text-quiet"
            ><span class="fig">{farm.machines.length}</span> machines, <span class="fig">{running}</span>
            running, about <span class="fig">{hours(farm.hoursLastWeek)}</span> h a week</span
          >{/if}
      </h1>
      <Filters label="Looking ahead" {weeks} {family} families={farm?.families ?? []} onask={ask} />
    </div>
    {#if farm}
      <div class="flex flex-wrap items-center gap-x-4" role="group" aria-label="Signs">
        {#each marks as mark (mark.code)}
          {@const many = count(mark.code)}
          {#if many > 0 || only === mark.code}
            <button
              type="button"
              aria-pressed={only === mark.code}
              class={[
                'inline-flex min-h-11 items-center gap-1.5 text-sm lg:min-h-8',
                only === mark.code ? 'font-bold underline' : 'text-quiet hover:text-ink',
              ]}
              onclick={() => ask({ mark: only === mark.code ? '' : mark.code })}
            >
              <svg viewBox="-15 -10 30 20" class="h-4 w-6" aria-hidden="true"><Sign mark={mark.code} /></svg>
              {mark.name}{mark.code === 'fail' ? ` within ${spans.find((s) => s.code === weeks)?.name}` : ''}
              <span class="fig">{many}</span>
            </button>
          {/if}
        {/each}
        <span class="text-sm text-quiet">no sign: its hours</span>
        <span class="ml-auto flex flex-wrap items-center gap-x-4 text-sm">
          <a class="text-action underline" href="/files/farm.csv?weeks={weeks}" download>Table</a>
          {#if me.person.meetsOwners}
            <button type="button" class="min-h-11 text-action underline" onclick={() => (drawing = true)}
              >Draw racks</button
            >
            <button
              type="button"
              class="min-h-11 text-action underline"
              aria-pressed={moving}
              onclick={() => {
                moving = !moving;
                hand = null;
              }}>{moving ? 'Done moving' : 'Move machines'}</button
            >
          {/if}
        </span>
      </div>
    {/if}
    {#if query.isError}<Problem message={query.error.message} />{/if}
    {#if work.refusal}<div class="mt-2"><Problem message={work.refusal.message} /></div>{/if}
    {#if moving}
      <p class="mt-1 bg-wash px-3 py-2 text-sm text-action" role="status">
        {hand === null
          ? 'Choose a machine, then the place where it stands now.'
          : `${hand} is in hand: choose its place. Where another stands, the two change places.`}
        {#if hand !== null}
          <button
            type="button"
            class="ml-2 underline"
            onclick={() => hand !== null && stand(hand, null, null, null, false)}
            >It stands nowhere here</button
          >
        {/if}
      </p>
    {/if}
    {#if farm}
      <div
        class={[
          'mt-1 flex flex-wrap gap-x-6',
          size === 'large' ? 'gap-y-3' : size === 'tiny' ? 'gap-y-1' : 'gap-y-2',
        ]}
      >
        {#each farm.racks as rack (rack.id)}
          <RackDrawing
            {farm}
            {rack}
            {size}
            {only}
            {family}
            {hand}
            at={(shelf, place) => places.get(`${rack.id} ${shelf} ${place}`)}
            onplace={moving ? (shelf, place, there) => at(rack, shelf, place, there) : undefined}
          />
        {/each}
      </div>
      {#if nowhere.length > 0}
        <section class="mt-3" aria-labelledby="nowhere">
          <h2 id="nowhere">Standing where no rack is drawn</h2>
          <ul class="mt-1 flex flex-wrap gap-2">
            {#each nowhere as machine (machine.tag)}
              <li>
                {#if moving}<button
                    type="button"
                    class={['min-h-11', hand === machine.tag && 'outline-2 outline-action']}
                    onclick={() => (hand = machine.tag)}><Tag tag={machine.tag} /></button
                  >{:else}<a
                    class="inline-grid min-h-11 items-center lg:min-h-8"
                    href={p('/machines/:tag', { params: { tag: machine.tag } })}
                    ><Tag tag={machine.tag} red={machine.redTag !== null} /></a
                  >{/if}
              </li>
            {/each}
          </ul>
        </section>
      {/if}
      {#if farm.machines.length === 0}
        <p class="mt-6 text-quiet">
          Machines held as “own farm” stand here, on the racks you draw, with what is likely to fail. <a
            class="text-action underline"
            href={p('/machines-in')}>Bring machines in</a
          >, or book the first one in.
        </p>
      {:else if farm.racks.length === 0}
        <p class="mt-4 text-quiet">
          No rack is drawn yet. <button
            type="button"
            class="text-action underline"
            onclick={() => (drawing = true)}>Draw the first one</button
          >, then move the machines onto it as they stand in the room.
        </p>
      {/if}
      {#if farm.more}<p class="mt-3 text-waiting">
          There are more machines than are drawn. Choose a family.
        </p>{/if}
    {:else if !query.isError}<p class="mt-4 text-quiet" role="status">Walking along the racks…</p>{/if}
  </div>
  <FarmAside {weeks} below={size === 'tiny'} />
</main>

<DrawRacks bind:open={drawing} racks={farm?.racks ?? []} />
