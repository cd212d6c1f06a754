<script lang="ts">
  import type { Fitting } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import { hours } from '@/ui/format';
  import { spots, type Traits } from '@/ui/machinePlaces';
  import MachineShape from '@/ui/MachineShape.svelte';

  /** The machine drawn, each place marked with the age of what is oldest in it against its usual life. */
  let {
    traits,
    positions,
    chosen = $bindable(''),
  }: { traits: Traits; positions: Fitting[]; chosen: string } = $props();

  const me = here();
  const where = $derived(spots(traits));
  const marks = $derived.by(() => {
    const byPlace: Record<string, Fitting[]> = {};
    for (const one of positions) if (one.place) (byPlace[one.place] ??= []).push(one);
    return Object.entries(byPlace).flatMap(([place, at]) => {
      const spot = where[place];
      if (!spot) return [];
      const oldest = [...at].sort((a, b) => (b.lifeShare ?? -1) - (a.lifeShare ?? -1))[0];
      const name = me.words.places.find((one) => one.code === place)?.name ?? place;
      return [{ place, spot, name, oldest, worn: oldest?.worn ?? 'unknown' }];
    });
  });
  /** Worn: a square; soon: a diamond; well or not known: a circle. */
  const looks: Record<Fitting['worn'], { fill: string; word: string }> = {
    unknown: { fill: 'var(--color-white)', word: 'hours do not wear it, or are not known' },
    past: { fill: 'var(--color-out)', word: 'past its usual life' },
    soon: { fill: 'var(--color-waiting)', word: 'nearly there' },
    well: { fill: 'var(--color-well)', word: 'well within' },
  };
</script>

<svg
  viewBox="20 0 270 290"
  class="mx-auto h-auto w-full max-w-72"
  role="group"
  aria-label="Positions on the machine"
>
  <g opacity="0.55"><MachineShape {traits} /></g>
  {#each marks as mark (mark.place)}
    {@const state = looks[mark.worn]}
    {@const { x, y } = mark.spot}
    <g
      role="button"
      tabindex="0"
      aria-label="{mark.name}: {state.word}{mark.oldest && mark.worn !== 'unknown'
        ? `, ${mark.oldest.name} ${hours(mark.oldest.hoursOnIt)} of ${hours(mark.oldest.lifeHours)} hours`
        : ''}"
      aria-pressed={chosen === mark.place}
      class="cursor-pointer"
      onclick={() => (chosen = chosen === mark.place ? '' : mark.place)}
      onkeydown={(event) => {
        if (event.key === 'Enter' || event.key === ' ') {
          event.preventDefault();
          chosen = chosen === mark.place ? '' : mark.place;
        }
      }}
    >
      <circle cx={x} cy={y} r="15" fill="transparent" />
      {#if chosen === mark.place}<circle
          cx={x}
          cy={y}
          r="12.5"
          fill="none"
          stroke="var(--color-action)"
          stroke-width="2.5"
        />{/if}
      {#if mark.worn === 'past'}
        <rect
          x={x - 7}
          y={y - 7}
          width="14"
          height="14"
          fill={state.fill}
          stroke="var(--color-white)"
          stroke-width="1.5"
        />
      {:else if mark.worn === 'soon'}
        <path
          d="M{x} {y - 9} L{x + 9} {y} L{x} {y + 9} L{x - 9} {y} Z"
          fill={state.fill}
          stroke="var(--color-white)"
          stroke-width="1.5"
        />
      {:else}
        <circle
          cx={x}
          cy={y}
          r="7"
          fill={state.fill}
          stroke={mark.worn === 'unknown' ? 'var(--color-edge)' : 'var(--color-white)'}
          stroke-width="1.5"
        />
      {/if}
    </g>
  {/each}
</svg>
<p class="mt-1 flex flex-wrap justify-center gap-x-4 text-sm text-quiet">
  <span><span aria-hidden="true" class="text-well">●</span> well within</span>
  <span><span aria-hidden="true" class="text-waiting">◆</span> nearly there</span>
  <span><span aria-hidden="true" class="text-out">■</span> past its usual life</span>
</p>
