<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import type { Life } from '@/api/types';
  import Chart from '@/ui/Chart.svelte';
  import { hours } from '@/ui/format';

  /** Of a hundred so many still work: the curve with its band, × where one failed, o below for those that run. */
  let { life }: { life: Life } = $props();

  const until = $derived(life.curve.at(-1)?.hours ?? 1);
  type To = (value: number) => number;

  const line = (x: To, y: To, of: 'of100' | 'trade'): string =>
    life.curve
      .filter((point) => point[of] !== null)
      .map((point, i) => `${i === 0 ? 'M' : 'L'}${x(point.hours).toFixed(1)} ${y(point[of] ?? 0).toFixed(1)}`)
      .join(' ');
  const band = (x: To, y: To): string =>
    [
      ...life.curve.map((point) => `${x(point.hours).toFixed(1)} ${y(point.high).toFixed(1)}`),
      ...[...life.curve].reverse().map((point) => `${x(point.hours).toFixed(1)} ${y(point.low).toFixed(1)}`),
    ].join(' L');
  /** Where the curve stands at so many hours. */
  const at = (value: number): number => {
    const i = Math.max(
      1,
      life.curve.findIndex((point) => point.hours >= value),
    );
    const [a, b] = [life.curve[i - 1], life.curve[i]];
    if (!a || !b) return 0;
    return a.of100 + ((b.of100 - a.of100) * (value - a.hours)) / (b.hours - a.hours);
  };
  const last = $derived(life.curve[Math.round(life.curve.length * 0.65)]);
</script>

<div class="mt-2 max-w-[760px]">
  <Chart
    label="{life.className}: of 100 so many still work after so many hours; {life.failed.length} failed, {life
      .runs.length} run"
    x={{
      from: 0,
      to: until,
      ticks: scaleLinear().domain([0, until]).ticks(6),
      said: (value) => hours(value),
    }}
    y={{ from: 0, to: 100, ticks: [0, 25, 50, 75, 100] }}
    width={620}
    height={350}
    bottom={70}
    top={22}
  >
    {#snippet children(x, y)}
      <path d="M{band(x, y)} Z" fill="var(--color-wash)" />
      {#if life.of.tradeHours !== null}
        <path
          d={line(x, y, 'trade')}
          fill="none"
          stroke="var(--color-quiet)"
          stroke-width="1.2"
          stroke-dasharray="5 4"
        />
        {#if last?.trade}<text
            x={x(last.hours)}
            dx="12"
            y={y(Math.max(last.trade, last.of100)) - 4}
            class="text-[12px]"
            fill="var(--color-quiet)">what the trade expects</text
          >{/if}
      {/if}
      {#if life.changeAtHours !== null && life.changeAtHours < until}
        <rect
          x={x(life.flatFromHours ?? 0)}
          y={y(0) - 4}
          width={x(Math.min(until, life.flatToHours ?? 0)) - x(life.flatFromHours ?? 0)}
          height="8"
          fill="var(--color-well)"
          opacity="0.35"
        />
        <line
          x1={x(life.changeAtHours)}
          x2={x(life.changeAtHours)}
          y1={y(100) - 4}
          y2={y(0)}
          stroke="var(--color-well)"
          stroke-width="2"
        />
        <text
          x={x(life.changeAtHours) + 6}
          y={y(100) - 8}
          class="text-[12px] font-semibold"
          fill="var(--color-well)">change here: {hours(Math.round(life.changeAtHours / 10) * 10)} h</text
        >
      {/if}
      <path d={line(x, y, 'of100')} fill="none" stroke="var(--color-action)" stroke-width="2.6" />
      {#each life.failed as part, i (`${part.tag} ${i}`)}
        {#if part.hours <= until}
          <path
            d="M-4.5 -4.5 L4.5 4.5 M4.5 -4.5 L-4.5 4.5"
            transform="translate({x(part.hours)} {y(at(part.hours))})"
            stroke="var(--color-out)"
            stroke-width="2"
          >
            <title>{part.tag}, {part.position}: failed at {hours(part.hours)} h</title>
          </path>
        {/if}
      {/each}
      {#each life.runs as part, i (`${part.tag} ${part.position} ${i}`)}
        <circle
          cx={x(Math.min(until, part.hours))}
          cy={y(0) + 34}
          r="4.2"
          fill="none"
          stroke="var(--color-quiet)"
          stroke-width="1.6"
        >
          <title>{part.tag}, {part.position}: runs, {hours(part.hours)} h</title>
        </circle>
      {/each}
      {#if life.runs.length > 0}<text x={x(0)} y={y(0) + 56} class="text-[12px]" fill="var(--color-quiet)"
          >o runs</text
        >{/if}
      {#if life.failed.length > 0}<text
          x={x(0) + 52}
          y={y(0) + 56}
          class="text-[12px]"
          fill="var(--color-out)">× failed here</text
        >{/if}
      <text x={x(until)} y={y(0) + 56} text-anchor="end" class="text-[12px]" fill="var(--color-quiet)"
        >still working, of 100 · print hours</text
      >
    {/snippet}
  </Chart>
</div>
