<script lang="ts">
  import type { Diagnosis } from '@/api/types';
  import Chart from '@/ui/Chart.svelte';
  import { percent } from '@/ui/format';

  /** How belief moved with each finding: one line for each fault worth one, its name at its end. */
  let { diagnosis }: { diagnosis: Diagnosis } = $props();

  type Scale = (value: number) => number;
  const WIDTH = 600;
  const HEIGHT = 190;
  const LEFT = 30;
  const RIGHT = 190;
  const TOP = 10;
  const BOTTOM = 44;
  const NAME = 15;
  const styles = [
    { stroke: 'var(--color-action)', dash: '', width: 2.5 },
    { stroke: 'var(--color-waiting)', dash: '6 3', width: 2 },
    { stroke: 'var(--color-quiet)', dash: '', width: 1.5 },
    { stroke: 'var(--color-out)', dash: '2 3', width: 2 },
    { stroke: 'var(--color-well)', dash: '8 3 2 3', width: 1.5 },
    { stroke: 'var(--color-edge)', dash: '1 3', width: 1.5 },
  ] as const;

  const moves = $derived(diagnosis.moves);
  const last = $derived(Math.max(1, moves.length - 1));
  const style = (i: number) => styles[i % styles.length] ?? styles[0];

  /** Names stand at the lines' ends, pushed apart where lines end close together. */
  const ends = (y: Scale) => {
    const names = diagnosis.lines
      .map((line, i) => ({ line, i, wanted: y(line.points.at(-1) ?? 0), at: 0 }))
      .sort((a, b) => a.wanted - b.wanted);
    let floor = TOP + 2;
    for (const name of names) {
      name.at = Math.max(name.wanted, floor);
      floor = name.at + NAME;
    }
    const over = floor - NAME - (HEIGHT - BOTTOM + 6);
    if (over > 0) {
      let ceiling = HEIGHT - BOTTOM + 6;
      for (const name of [...names].reverse()) {
        name.at = Math.min(name.at, ceiling);
        ceiling = name.at - NAME;
      }
    }
    return names;
  };

  /** As many names of findings under the axis as fit, the latest first. */
  const labels = (x: Scale) => {
    const shown: { i: number; text: string }[] = [];
    let edge = WIDTH;
    for (let i = moves.length - 1; i > 0; i--) {
      const move = moves[i];
      if (!move) continue;
      const text = move.name.length > 20 ? `${move.name.slice(0, 19)}…` : move.name;
      const half = text.length * 2.9 + 6;
      const middle = Math.max(x(i), half);
      if (middle + half <= edge) {
        shown.push({ i, text });
        edge = middle - half;
      }
    }
    return shown;
  };
  const mark = (move: Diagnosis['moves'][number]): string =>
    move.withdrawn ? '✕' : move.present ? '▲' : '▽';
  const cut = (name: string): string => (name.length > 25 ? `${name.slice(0, 24)}…` : name);
  const told = $derived(
    diagnosis.lines
      .map(
        (line) =>
          `${line.name} from ${percent(line.points[0] ?? 0)} to ${percent(line.points.at(-1) ?? 0)} %`,
      )
      .join('; '),
  );
</script>

{#if moves.length > 1 && diagnosis.lines.length > 0}
  <h3 class="mt-4 text-[0.9375rem]">How belief moved</h3>
  <Chart
    label="How belief moved: {told}"
    width={WIDTH}
    height={HEIGHT}
    left={LEFT}
    right={RIGHT}
    top={TOP}
    bottom={BOTTOM}
    x={{ from: 0, to: last }}
    y={{ from: 0, to: 1, ticks: [0, 0.5, 1], said: (share) => String(share * 100) }}
  >
    {#snippet children(x, y)}
      {#each diagnosis.lines as line, i (line.fault)}
        <polyline
          points={line.points.map((p, n) => `${x(n)},${y(p)}`).join(' ')}
          fill="none"
          stroke={style(i).stroke}
          stroke-width={style(i).width}
          stroke-dasharray={style(i).dash}
          stroke-linejoin="round"
        />
      {/each}
      {#each ends(y) as end (end.line.fault)}
        <line
          x1={WIDTH - RIGHT + 2}
          x2={WIDTH - RIGHT + 11}
          y1={end.wanted}
          y2={end.at}
          stroke={style(end.i).stroke}
          stroke-width="1"
        />
        <text
          x={WIDTH - RIGHT + 14}
          y={end.at + 4}
          class="text-[12px]"
          fill={style(end.i).stroke}
          text-decoration={end.line.superseded ? 'line-through' : undefined}
          >{cut(end.line.name)}
          <tspan class="font-mono text-[11px]">{percent(end.line.points.at(-1) ?? 0)} %</tspan></text
        >
      {/each}
      {#each moves as move, i (i)}
        {#if i > 0}
          <text
            x={x(i)}
            y={HEIGHT - BOTTOM + 15}
            text-anchor="middle"
            class="text-[11px]"
            fill="var(--color-action)"
            ><title>{move.withdrawn ? 'withdrawn: ' : move.present ? '' : 'not: '}{move.name}</title>{mark(
              move,
            )}</text
          >
        {/if}
      {/each}
      {#each labels(x) as label (label.i)}
        <text
          x={Math.max(x(label.i), label.text.length * 2.9 + 2)}
          y={HEIGHT - BOTTOM + 29}
          text-anchor="middle"
          class="text-[11px]"
          fill="var(--color-quiet)">{label.text}</text
        >
      {/each}
    {/snippet}
  </Chart>
{/if}
