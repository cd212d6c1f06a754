<script lang="ts" module>
  /** What an axis runs over, where it is marked and in which words. */
  export interface Axis {
    from: number;
    to: number;
    log?: boolean;
    ticks?: readonly number[];
    said?: (value: number) => string;
  }
</script>

<script lang="ts">
  import { scaleLinear, scaleLog } from 'd3-scale';
  import type { Snippet } from 'svelte';

  /** A drawing over two axes: lines across at the marks of the upright one, figures under those of the other. */
  interface Props {
    label: string;
    x: Axis;
    y: Axis;
    width?: number;
    height?: number;
    left?: number;
    right?: number;
    top?: number;
    bottom?: number;
    children: Snippet<[(value: number) => number, (value: number) => number]>;
  }
  let {
    label,
    x,
    y,
    width = 560,
    height = 190,
    left = 38,
    right = 8,
    top = 10,
    bottom = 28,
    children,
  }: Props = $props();

  const across = $derived(
    (x.log ? scaleLog() : scaleLinear()).domain([x.from, x.to]).range([left, width - right]),
  );
  const up = $derived(
    (y.log ? scaleLog() : scaleLinear()).domain([y.from, y.to]).range([height - bottom, top]),
  );
  /** The figures at both ends stand within the drawing. */
  const anchor = (at: number): 'start' | 'middle' | 'end' =>
    at < left + 12 ? 'start' : at > width - right - 12 ? 'end' : 'middle';
</script>

<svg viewBox="0 0 {width} {height}" class="h-auto w-full" role="img" aria-label={label}>
  {#each y.ticks ?? up.ticks(4) as value (value)}
    <line x1={left} x2={width - right} y1={up(value)} y2={up(value)} stroke="var(--color-line)" />
    <text
      x={left - 5}
      y={up(value) + 4}
      text-anchor="end"
      class="font-mono text-[11px]"
      fill="var(--color-quiet)">{y.said?.(value) ?? value}</text
    >
  {/each}
  {@render children(across, up)}
  {#each x.ticks ?? [] as value (value)}
    <text
      x={across(value)}
      y={height - bottom + 18}
      text-anchor={anchor(across(value))}
      class="font-mono text-[11px]"
      fill="var(--color-quiet)">{x.said?.(value) ?? value}</text
    >
  {/each}
</svg>
