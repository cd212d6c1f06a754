<script lang="ts">
  import Chart from '@/ui/Chart.svelte';

  /** What is in the sound of a pluck; the fundamental is marked, its overtones ticked. */
  let { spectrum, hz }: { spectrum: [number, number][]; hz: number } = $props();

  const WIDTH = 560;
  const FLOOR = -60;
  const from = $derived(spectrum[0]?.[0] ?? 12);
  const to = $derived(spectrum.at(-1)?.[0] ?? 900);
  const overtones = $derived([2, 3, 4].map((n) => n * hz).filter((f) => f < to));
  const ticks = $derived([20, 50, 100, 200, 500].filter((f) => f >= from && f <= to));
</script>

<Chart
  label="Spectrum of the pluck, fundamental at {hz.toFixed(1)} Hz"
  width={WIDTH}
  top={24}
  x={{ from, to, log: true, ticks }}
  y={{ from: FLOOR, to: 0, ticks: [0, -20, -40, -60] }}
>
  {#snippet children(x, y)}
    {#each overtones as f (f)}<line
        x1={x(f)}
        x2={x(f)}
        y1={y(0)}
        y2={y(FLOOR)}
        stroke="var(--color-edge)"
        stroke-dasharray="2 3"
      />{/each}
    <line x1={x(hz)} x2={x(hz)} y1="18" y2={y(FLOOR)} stroke="var(--color-out)" stroke-width="2" />
    <text x={x(hz)} y="13" text-anchor="middle" class="text-[12px] font-bold" fill="var(--color-out)"
      >{hz.toFixed(1)} Hz</text
    >
    <polyline
      points={spectrum.map(([f, db]) => `${x(f)},${y(Math.max(FLOOR, db))}`).join(' ')}
      fill="none"
      stroke="var(--color-action)"
      stroke-width="1.6"
    />
    <text x={WIDTH - 8} y="13" text-anchor="end" class="text-[11px]" fill="var(--color-quiet)"
      >Hz; dB below the strongest</text
    >
  {/snippet}
</Chart>
