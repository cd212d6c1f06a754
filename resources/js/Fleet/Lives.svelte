<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { livesQuery } from '@/api/queries';
  import { here } from '@/api/session.svelte';
  import { p } from '@/router';
  import Problem from '@/ui/Problem.svelte';
  import { day, hours } from '@/ui/format';
  import { rowKeys } from '@/ui/rows';
  import FleetPlaces from './FleetPlaces.svelte';
  import { along, marks } from './lifeScale';
  import LifeStrip from './LifeStrip.svelte';

  /** How long each class of part lasts here, against what the trade says. */
  const me = here();
  const query = createQuery(() => livesQuery());
  const it = $derived(query.data);
  const known = $derived(it?.lives.filter((life) => life.failures > 0) ?? []);
  const rest = $derived(it?.lives.filter((life) => life.failures === 0) ?? []);

  $effect(() => rowKeys(() => [...known, ...rest].map((life) => life.partClass)));
</script>

<svelte:head><title>Lives · Odd Bench</title></svelte:head>

<main class="px-4 py-2 md:px-5">
  <FleetPlaces />
  <h1 class="mt-2">How long parts last here</h1>
  {#if query.isError}<div class="mt-3"><Problem message={query.error.message} /></div>{/if}
  {#if it}
    {#if it.lives.length > 0}
      <p class="mt-1 text-sm text-quiet">
        From the positions of all machines; those that still run count too. From the {it.believesFrom}th
        failure on this shop goes by itself; before that the trade’s usual life counts along.
        {#if it.workedOutAt}Worked out {day(it.workedOutAt, me.zone)}.{/if}
      </p>
      {#each [{ name: 'Failed here', lives: known }, { name: 'None has failed here yet', lives: rest }] as part (part.name)}
        {#if part.lives.length > 0}
          <div class="mt-4 grid items-end gap-x-4 md:grid-cols-[11.5rem_12rem_minmax(0,1fr)_12.5rem]">
            <h2 class="md:col-span-2">{part.name}</h2>
            <span class="relative mr-37 h-5 max-md:hidden" aria-hidden="true">
              {#each marks as mark (mark)}<span
                  class="absolute -translate-x-1/2 font-mono text-xs text-quiet"
                  style="left: {along(mark)}%">{hours(mark)}</span
                >{/each}
            </span>
            <span class="text-xs text-quiet max-md:hidden">hours; dashed: the trade</span>
          </div>
          <ul class="mt-1 border-t border-line">
            {#each part.lives as life (life.partClass)}
              <li class="rule-below">
                <a
                  class="grid min-h-11 grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 py-1 hover:bg-wash focus-visible:bg-wash md:grid-cols-[11.5rem_12rem_minmax(0,1fr)_12.5rem]"
                  data-line={life.partClass}
                  href={p('/lives/:class', { params: { class: life.partClass } })}
                >
                  <span class="truncate font-semibold">{life.name}</span>
                  <span class="text-sm text-quiet max-md:order-last max-md:col-span-2"
                    ><span class="fig">{life.failures}</span> failed,
                    <span class="fig">{life.running}</span> came through</span
                  >
                  <LifeStrip {life} />
                  <span class="text-sm max-md:hidden">
                    {#if life.own && life.believedFrom}by this shop since {day(life.believedFrom, me.zone)}
                    {:else if life.tradeHours}the trade’s word counts along
                    {:else}not known{/if}
                  </span>
                </a>
              </li>
            {/each}
          </ul>
        {/if}
      {/each}
    {:else}
      <p class="mt-4 text-quiet">
        Every part that is fitted or taken out tells how long it lasted. The lives stand here after the first
        night.
      </p>
    {/if}
  {:else if !query.isError}<p class="mt-4 text-quiet" role="status">Reading the lives…</p>{/if}
</main>
