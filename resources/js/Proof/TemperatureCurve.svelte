<script lang="ts">
  import type { ProofRun } from '@/api/types';
  import Chart from '@/ui/Chart.svelte';

  /** Temperatures as they were reported, against what was asked and how far they may stray from it. */
  let { samples, mayStray }: { samples: ProofRun['samples']; mayStray: number } = $props();

  const W = 560;
  const H = 190;
  const LEFT = 34;
  const RIGHT = 10;
  const at = (row: number[], i: number): number => row[i] ?? 0;
  const first = $derived(at(samples[0] ?? [], 0));
  const span = $derived(Math.max(120, at(samples.at(-1) ?? [], 0) - first));
  const most = $derived(
    Math.max(70, ...samples.map((row) => Math.max(at(row, 1), at(row, 2), at(row, 3), at(row, 4)))) * 1.08,
  );
  const marks = $derived([0, 50, 100, 150, 200, 250, 300].filter((c) => c < most));
  const last = $derived(samples.at(-1));

  /** Stretches over which one target stood, with the band around it. */
  const bands = $derived.by(() => {
    const found: { from: number; to: number; target: number; colour: string }[] = [];
    for (const [i, colour] of [
      [2, 'var(--color-out)'],
      [4, 'var(--color-action)'],
    ] as const) {
      let open: (typeof found)[number] | null = null;
      for (const row of samples) {
        const target = at(row, i);
        if (open && open.target === target) open.to = at(row, 0);
        else {
          open = target > 0 ? { from: at(row, 0), to: at(row, 0), target, colour } : null;
          if (open) found.push(open);
        }
      }
    }
    return found;
  });
  const shown = (seconds: number): string =>
    seconds < 7200 ? `${(seconds / 60).toFixed(0)} min` : `${(seconds / 3600).toFixed(1)} h`;
</script>

{#if last}
  <Chart
    label="Hot end {at(last, 1).toFixed(0)} of {at(last, 2).toFixed(0)} degrees, bed {at(last, 3).toFixed(
      0,
    )} of {at(last, 4).toFixed(0)}"
    width={W}
    height={H}
    left={LEFT}
    right={RIGHT}
    bottom={18}
    x={{ from: first, to: first + span }}
    y={{ from: 0, to: most, ticks: marks }}
  >
    {#snippet children(x, y)}
      {#each bands as band (band.colour + band.from)}
        <rect
          x={x(band.from)}
          width={Math.max(0.5, x(band.to) - x(band.from))}
          y={y(band.target + mayStray)}
          height={Math.max(1.5, y(band.target - mayStray) - y(band.target + mayStray))}
          fill={band.colour}
          opacity="0.2"
        />
        <line
          x1={x(band.from)}
          x2={x(band.to)}
          y1={y(band.target)}
          y2={y(band.target)}
          stroke={band.colour}
          stroke-dasharray="4 3"
        />
      {/each}
      {#each [{ of: 3, colour: 'var(--color-action)' }, { of: 1, colour: 'var(--color-out)' }] as line (line.of)}
        <polyline
          points={samples
            .map((row) => `${x(at(row, 0)).toFixed(1)},${y(Math.max(0, at(row, line.of))).toFixed(1)}`)
            .join(' ')}
          fill="none"
          stroke={line.colour}
          stroke-width="2"
        />
      {/each}
      <text x={LEFT} y={H - 4} font-size="11" fill="var(--color-quiet)"
        >band: ±{mayStray} °C allowed while it holds</text
      >
      <text x={W - RIGHT} y={H - 4} text-anchor="end" font-size="11" fill="var(--color-quiet)"
        >{shown(span)}</text
      >
    {/snippet}
  </Chart>
  <p class="text-sm">
    <span class="text-out">━ hot end</span> <span class="fig">{at(last, 1).toFixed(1)}</span>
    <span class="text-quiet">of {at(last, 2).toFixed(0)} °C</span> ·
    <span class="text-action">━ bed</span> <span class="fig">{at(last, 3).toFixed(1)}</span>
    <span class="text-quiet">of {at(last, 4).toFixed(0)} °C</span>
  </p>
{/if}
