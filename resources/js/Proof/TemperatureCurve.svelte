<script lang="ts">
  import type { ProofRun } from '@/api/types';

  /** Temperatures as they were reported, against what was asked. */
  let { samples }: { samples: ProofRun['samples'] } = $props();

  const W = 560;
  const H = 150;
  const at = (row: number[], i: number): number => row[i] ?? 0;
  const first = $derived(at(samples[0] ?? [], 0));
  const span = $derived(Math.max(120, at(samples.at(-1) ?? [], 0) - first));
  const most = $derived(Math.max(70, ...samples.map((row) => Math.max(at(row, 1), at(row, 2)))) * 1.08);
  const x = (t: number): number => 34 + ((t - first) / span) * (W - 44);
  const y = (c: number): number => H - 18 - (Math.max(0, c) / most) * (H - 28);
  const line = (i: number): string =>
    samples.map((row) => `${x(at(row, 0)).toFixed(1)},${y(at(row, i)).toFixed(1)}`).join(' ');
  const marks = $derived([0, 50, 100, 150, 200, 250, 300].filter((c) => c < most));
  const last = $derived(samples.at(-1));
</script>

{#if last}
  <svg
    viewBox="0 0 {W} {H}"
    class="h-auto w-full"
    role="img"
    aria-label="Hot end {at(last, 1).toFixed(0)} of {at(last, 2).toFixed(0)} degrees, bed {at(
      last,
      3,
    ).toFixed(0)} of {at(last, 4).toFixed(0)}"
  >
    {#each marks as c (c)}
      <line x1="34" x2={W - 10} y1={y(c)} y2={y(c)} stroke="#d5d0c3" />
      <text x="28" y={y(c) + 4} text-anchor="end" font-size="11" fill="#5a6468">{c}</text>
    {/each}
    <polyline points={line(2)} fill="none" stroke="#a03a12" stroke-dasharray="4 3" />
    <polyline points={line(4)} fill="none" stroke="#0f5661" stroke-dasharray="4 3" />
    <polyline points={line(1)} fill="none" stroke="#a03a12" stroke-width="2" />
    <polyline points={line(3)} fill="none" stroke="#0f5661" stroke-width="2" />
    <text x={W - 10} y={H - 4} text-anchor="end" font-size="11" fill="#5a6468"
      >{(span / 60).toFixed(0)} min</text
    >
  </svg>
  <p class="text-sm">
    <span class="text-out">━ hot end</span> <span class="fig">{at(last, 1).toFixed(1)}</span>
    <span class="text-quiet">of {at(last, 2).toFixed(0)} °C</span> ·
    <span class="text-action">━ bed</span> <span class="fig">{at(last, 3).toFixed(1)}</span>
    <span class="text-quiet">of {at(last, 4).toFixed(0)} °C</span>
  </p>
{/if}
