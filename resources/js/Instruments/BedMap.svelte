<script lang="ts">
  /** The bed seen from above: heights as colours that also colour-blind people tell apart, and which way to turn each screw. */
  interface Point {
    x_mm: number;
    y_mm: number;
    z_mm: number;
  }
  interface Turn {
    name: string;
    move_mm: number;
    turns: number;
    clock_minutes: number;
    direction: string;
    rotate: string;
  }
  interface Props {
    points: Point[];
    screws: { name: string; x_mm: number; y_mm: number }[];
    turns: Turn[];
  }
  let { points, screws, turns }: Props = $props();

  const SIZE = 300;
  const PAD = 26;
  const CELLS = 22;
  const xs = $derived([...points, ...screws].map((p) => p.x_mm));
  const ys = $derived([...points, ...screws].map((p) => p.y_mm));
  const left = $derived(Math.min(...xs));
  const low = $derived(Math.min(...ys));
  const span = $derived(Math.max(Math.max(...xs) - left, Math.max(...ys) - low, 1));
  const x = $derived((mm: number): number => PAD + ((mm - left) / span) * (SIZE - 2 * PAD));
  const y = $derived((mm: number): number => SIZE - PAD - ((mm - low) / span) * (SIZE - 2 * PAD));
  const most = $derived(Math.max(0.02, ...points.map((p) => Math.abs(p.z_mm))));

  /** Blue is low, white is right, orange is high. */
  function colour(z: number): string {
    const share = Math.max(-1, Math.min(1, z / most));
    const to = share < 0 ? [33, 82, 148] : [196, 98, 16];
    const mix = (i: number): number => Math.round(251 + ((to[i] ?? 0) - 251) * Math.abs(share));
    return `rgb(${mix(0)} ${mix(1)} ${mix(2)})`;
  }

  /** Between the points by their nearness; only for the picture, no verdict hangs on it. */
  const cells = $derived.by(() => {
    const made: { x: number; y: number; fill: string }[] = [];
    const pxs = points.map((p) => p.x_mm);
    const pys = points.map((p) => p.y_mm);
    const [x0, x1, y0, y1] = [Math.min(...pxs), Math.max(...pxs), Math.min(...pys), Math.max(...pys)];
    for (let i = 0; i < CELLS; i++) {
      for (let j = 0; j < CELLS; j++) {
        const px = x0 + ((i + 0.5) / CELLS) * (x1 - x0);
        const py = y0 + ((j + 0.5) / CELLS) * (y1 - y0);
        let sum = 0;
        let weight = 0;
        for (const p of points) {
          const w = 1 / ((p.x_mm - px) ** 2 + (p.y_mm - py) ** 2 + 1) ** 1.5;
          sum += w * p.z_mm;
          weight += w;
        }
        made.push({ x: px, y: py, fill: colour(sum / weight) });
      }
    }
    return { made, w: (x1 - x0) / CELLS, h: (y1 - y0) / CELLS };
  });
  const scale = $derived((SIZE - 2 * PAD) / span);
  /** Towards the middle, clear of a screw that stands close. */
  const inwards = (at: number): number => Math.sign(Math.round((SIZE / 2 - at) / 20)) * 20;
  const signed = (z: number): string => (z > 0 ? '+' : z < 0 ? '−' : '') + Math.abs(z).toFixed(2);
  const turnOf = (name: string): Turn | undefined => turns.find((turn) => turn.name === name);
</script>

<div class="grid gap-3 md:grid-cols-[minmax(0,225px)_minmax(0,1fr)]">
  <svg
    viewBox="0 0 {SIZE} {SIZE}"
    role="img"
    aria-label="Heights of the bed from above"
    class="w-full max-w-[260px]"
  >
    {#each cells.made as cell, i (i)}
      <rect
        x={x(cell.x - cells.w / 2)}
        y={y(cell.y + cells.h / 2)}
        width={cells.w * scale + 0.4}
        height={cells.h * scale + 0.4}
        fill={cell.fill}
      />
    {/each}
    {#each screws as screw (screw.name)}
      {@const turn = turnOf(screw.name)}
      {#if turn}
        <g transform="translate({x(screw.x_mm)} {y(screw.y_mm)})">
          <circle r="11" fill="var(--color-sheet)" stroke="var(--color-action)" stroke-width="2" />
          <path
            d={turn.direction === 'up' ? 'M0 5 V-5 M-4 -1 L0 -5 L4 -1' : 'M0 -5 V5 M-4 1 L0 5 L4 1'}
            stroke="var(--color-action)"
            stroke-width="2"
            fill="none"
          />
        </g>
      {/if}
    {/each}
    {#each points as point, i (i)}
      <circle cx={x(point.x_mm)} cy={y(point.y_mm)} r="2.5" fill="var(--color-ink)" />
      <text
        x={x(point.x_mm) + inwards(x(point.x_mm))}
        y={y(point.y_mm) + inwards(y(point.y_mm)) + 4}
        text-anchor="middle"
        class="font-mono text-[12px] font-semibold"
        fill="var(--color-ink)"
        stroke="var(--color-sheet)"
        stroke-width="3"
        paint-order="stroke">{signed(point.z_mm)}</text
      >
    {/each}
    <text x={SIZE / 2} y={SIZE - 4} text-anchor="middle" class="text-[12px]" fill="var(--color-quiet)"
      >front; orange is high, blue is low</text
    >
  </svg>
  <table class="self-start text-sm">
    <thead class="text-left text-quiet">
      <tr
        ><th class="font-normal">screw</th><th class="text-right font-normal">bed goes</th><th
          class="pl-3 font-normal">turn it, seen from below</th
        ></tr
      >
    </thead>
    <tbody>
      {#each turns as turn (turn.name)}
        <tr class="rule-below">
          <td class="py-1.5 font-semibold">{turn.name}</td>
          <td class="text-right whitespace-nowrap"
            ><span class="fig">{turn.direction === 'up' ? '↑' : '↓'} {Math.abs(turn.move_mm).toFixed(2)}</span
            >
            <span class="text-quiet">mm</span></td
          >
          <td class="pl-3 leading-tight"
            >{#if turn.clock_minutes < 1}leave it{:else}<span class="whitespace-nowrap"
                >{turn.rotate === 'clockwise' ? '↻ clockwise' : '↺ counter-clockwise'}</span
              >
              <span class="whitespace-nowrap"
                ><span class="fig font-semibold">{turn.turns.toFixed(2)}</span> turns,
                <span class="fig">{Math.round(turn.clock_minutes)}</span> min of a clock</span
              >{/if}</td
          >
        </tr>
      {/each}
    </tbody>
  </table>
</div>
