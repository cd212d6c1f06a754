<script lang="ts">
  /** What is in the sound of a pluck; the fundamental is marked, its overtones ticked. */
  let { spectrum, hz }: { spectrum: [number, number][]; hz: number } = $props();

  const WIDTH = 560;
  const HEIGHT = 190;
  const LEFT = 38;
  const FLOOR = -60;
  const low = $derived(Math.log(spectrum[0]?.[0] ?? 12));
  const high = $derived(Math.log(spectrum.at(-1)?.[0] ?? 900));
  const x = $derived((f: number): number => LEFT + ((Math.log(f) - low) / (high - low)) * (WIDTH - LEFT - 8));
  const y = (db: number): number => 24 + (-db / -FLOOR) * (HEIGHT - 52);
  const line = $derived(spectrum.map(([f, db]) => `${x(f)},${y(db)}`).join(' '));
  const overtones = $derived([2, 3, 4].map((n) => n * hz).filter((f) => Math.log(f) < high));
</script>

<svg
  viewBox="0 0 {WIDTH} {HEIGHT}"
  class="w-full"
  role="img"
  aria-label="Spectrum of the pluck, fundamental at {hz.toFixed(1)} Hz"
>
  {#each [0, -20, -40, -60] as db (db)}
    <line x1={LEFT} x2={WIDTH - 8} y1={y(db)} y2={y(db)} stroke="var(--color-line)" />
    <text x={LEFT - 5} y={y(db) + 4} text-anchor="end" class="font-mono text-[11px]" fill="var(--color-quiet)"
      >{db}</text
    >
  {/each}
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
  <polyline points={line} fill="none" stroke="var(--color-action)" stroke-width="1.6" />
  {#each [20, 50, 100, 200, 500] as f (f)}<text
      x={x(f)}
      y={HEIGHT - 10}
      text-anchor="middle"
      class="font-mono text-[11px]"
      fill="var(--color-quiet)">{f}</text
    >{/each}
  <text x={WIDTH - 8} y="13" text-anchor="end" class="text-[11px]" fill="var(--color-quiet)"
    >Hz; dB below the strongest</text
  >
</svg>
