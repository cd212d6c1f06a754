<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import type { Estimate } from '@/api/types';
  import { money } from '@/ui/format';

  /** The ways a job may turn out along what they cost: each a peg as tall as it is likely; the mean and the ceiling as marks below. */
  let { estimate, currency }: { estimate: Estimate; currency: string } = $props();

  const W = 640;
  // what is hardly ever so dear would press everything else to the left
  const told = $derived(estimate.lines.filter((line) => line.probability >= 0.01));
  const from = $derived(Math.min(estimate.expectedMinor, ...told.map((line) => line.sumMinor)));
  const to = $derived(Math.max(estimate.ceilingMinor, ...told.map((line) => line.sumMinor)));
  const x = $derived(
    scaleLinear()
      .domain(from === to ? [0, to * 2 || 1] : [from, to])
      .range([40, W - 40]),
  );
  const tallest = $derived(Math.max(...estimate.lines.map((line) => line.probability), 0.01));
  const apart = $derived(Math.abs(x(estimate.expectedMinor) - x(estimate.ceilingMinor)) > 150);
</script>

<svg
  viewBox="0 0 {W} 96"
  class="mt-2 block w-full max-w-[640px]"
  role="img"
  aria-label="About {money(estimate.expectedMinor, currency)}, not more than {money(
    estimate.ceilingMinor,
    currency,
  )} in {estimate.inTen} of 10"
>
  <rect
    x={x(from)}
    y="49"
    width={Math.max(2, x(estimate.ceilingMinor) - x(from))}
    height="5"
    class="fill-wash"
  />
  <line x1="20" x2={W - 20} y1="51.5" y2="51.5" class="stroke-edge" />
  {#each told as line, i (i)}
    <line
      x1={x(line.sumMinor)}
      x2={x(line.sumMinor)}
      y1={51 - 42 * (line.probability / tallest)}
      y2="51"
      class={line.what === 'Something else' ? 'stroke-steel-worn' : 'stroke-action'}
      stroke-width="7"
    />
  {/each}
  <path d="M{x(estimate.expectedMinor)} 54 l-5 9 h10 z" class="fill-ink" />
  <text x={x(estimate.expectedMinor)} y={apart ? 77 : 75} text-anchor="middle" class="fill-ink text-[13px]"
    >about {money(estimate.expectedMinor, currency)}</text
  >
  <line
    x1={x(estimate.ceilingMinor)}
    x2={x(estimate.ceilingMinor)}
    y1="44"
    y2="62"
    class="stroke-waiting"
    stroke-width="3"
  />
  <text
    x={Math.min(W - 70, Math.max(70, x(estimate.ceilingMinor)))}
    y={apart ? 77 : 92}
    text-anchor="middle"
    class="fill-waiting text-[13px]"
    >{estimate.inTen} of 10 up to {money(estimate.ceilingMinor, currency)}</text
  >
</svg>
