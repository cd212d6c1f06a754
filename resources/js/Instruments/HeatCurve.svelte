<script lang="ts">
  import Chart from '@/ui/Chart.svelte';

  /** A temperature log with its target, the overshoot and the settling band marked. */
  interface Props {
    curve: [number, number, number][];
    target: number;
    began: number;
    rise: number | null;
    overshoot: number | null;
    settle: number | null;
  }
  let { curve, target, began, rise, overshoot, settle }: Props = $props();

  const WIDTH = 560;
  const HEIGHT = 230;
  const LEFT = 40;
  const BOTTOM = 28;
  const t0 = $derived(curve[0]?.[0] ?? 0);
  const t1 = $derived(Math.max(curve.at(-1)?.[0] ?? 1, t0 + 1e-9));
  const top = $derived(Math.max(target + 12, ...curve.map((p) => p[1])) + 4);
  const floor = $derived(Math.min(...curve.map((p) => p[1])));
  const seconds = (t: number): string => `${Math.round(t)} s`;
  const degrees = (c: number): string => String(Math.round(c));
</script>

<Chart
  label="The log: temperature over time against {target} °C"
  width={WIDTH}
  height={HEIGHT}
  left={LEFT}
  top={8}
  bottom={BOTTOM}
  x={{ from: t0, to: t1, ticks: [t0, (t0 + t1) / 2, t1], said: seconds }}
  y={{ from: Math.min(floor, top - 1), to: top, ticks: [floor, target], said: degrees }}
>
  {#snippet children(x, y)}
    <rect
      x={LEFT}
      y={y(target + 1)}
      width={WIDTH - LEFT - 8}
      height={Math.max(1, y(target - 1) - y(target + 1))}
      fill="var(--color-well-wash)"
    />
    <line
      x1={LEFT}
      x2={WIDTH - 8}
      y1={y(target)}
      y2={y(target)}
      stroke="var(--color-well)"
      stroke-dasharray="5 3"
    />
    {#if overshoot !== null && overshoot > 0.5}
      <line
        x1={LEFT}
        x2={WIDTH - 8}
        y1={y(target + overshoot)}
        y2={y(target + overshoot)}
        stroke="var(--color-out)"
        stroke-dasharray="2 3"
      />
      <text
        x={WIDTH - 10}
        y={y(target + overshoot) - 4}
        text-anchor="end"
        class="text-[12px]"
        fill="var(--color-out)">overshoot {overshoot.toFixed(1)} °C</text
      >
    {/if}
    {#each [{ at: rise, word: 'up' }, { at: settle, word: 'settled' }] as mark (mark.word)}
      {#if mark.at !== null}
        <line
          x1={x(began + mark.at)}
          x2={x(began + mark.at)}
          y1="8"
          y2={HEIGHT - BOTTOM}
          stroke="var(--color-edge)"
          stroke-dasharray="2 3"
        />
        <text
          x={x(began + mark.at) + 4}
          y={HEIGHT - BOTTOM - 6 - (mark.word === 'up' ? 14 : 0)}
          class="text-[12px]"
          fill="var(--color-quiet)">{mark.word} {Math.round(mark.at)} s</text
        >
      {/if}
    {/each}
    <polyline
      points={curve.map((p) => `${x(p[0])},${y(p[1])}`).join(' ')}
      fill="none"
      stroke="var(--color-action)"
      stroke-width="2"
    />
    <line x1={LEFT} x2={WIDTH - 8} y1={HEIGHT - BOTTOM} y2={HEIGHT - BOTTOM} stroke="var(--color-edge)" />
  {/snippet}
</Chart>
