<script lang="ts">
  import type { PartPage } from '@/api/types';
  import { day } from '@/ui/format';

  /** What was taken week by week, and how the shelf stands against the reorder point. */
  let { supply, partClass }: { supply: NonNullable<PartPage['supply']>; partClass: string } = $props();

  const most = $derived(Math.max(1, ...supply.history));
  const all = $derived(supply.history.reduce((a, b) => a + b, 0));
  // what the farm takes is foretold by the hours of its parts, so it is not in these weeks
  const besides = $derived(supply.foretold === null ? '' : ', besides what the farm’s machines got');
  const W = 560;
  const H = 56;
  // below the weeks: what is free against the reorder point, on one scale
  const scale = $derived(Math.max(supply.free, supply.reorderPoint, 1) * 1.15);
  const at = (n: number): number => (Math.max(0, n) / scale) * W;
</script>

<p class="mt-2 max-w-prose">{supply.because}</p>
{#if supply.foretold !== null && supply.inUse !== null}
  <p class="mt-1 text-sm">
    <strong class="fig">{supply.foretold < 0.1 ? 'less than 0.1' : supply.foretold.toFixed(1)}</strong>
    expected to fail on the farm by {day(supply.hereOn, 'UTC')}, <span class="fig">{supply.inUse}</span> in
    use
    <span class="text-quiet">· <a class="underline" href="/lives/{partClass}">how long they last</a></span>
  </p>
{/if}
<p class="text-sm text-quiet">
  <span class="fig">{supply.reserved}</span> promised ·
  <span class="fig">{supply.planned}</span> in the kits of open jobs{supply.plannedFor.length > 0
    ? ` (${supply.plannedFor.slice(0, 4).join(', ')}${supply.plannedFor.length > 4 ? '…' : ''})`
    : ''} · <span class="fig">{supply.onOrder}</span> on order ·
  <span class="fig">{supply.demandPerWeek.toFixed(2)}</span> asked for in a week
</p>
<svg
  viewBox="0 0 {W} {H + 50}"
  class="mt-2 h-auto w-full max-w-2xl"
  role="img"
  aria-label="Taken week by week over {supply.history
    .length} weeks, {all} in all{besides}; {supply.free} free against a reorder point of {supply.reorderPoint}"
>
  {#if all === 0}<text x="0" y={H - 8} font-size="12" fill="var(--color-quiet)"
      >None was taken in {supply.history.length} weeks{besides}.</text
    >{/if}
  {#each supply.history as taken, week (week)}
    <rect
      x={(week * W) / supply.history.length}
      width={Math.max(1, W / supply.history.length - 1.5)}
      y={H - (taken / most) * (H - 6)}
      height={(taken / most) * (H - 6)}
      fill="var(--color-action)"
    />
  {/each}
  <line x1="0" x2={W} y1={H} y2={H} stroke="var(--color-quiet)" />
  <text x="0" y={H + 13} font-size="11" fill="var(--color-quiet)">{supply.history.length} weeks ago</text>
  <text x={W} y={H + 13} text-anchor="end" font-size="11" fill="var(--color-quiet)"
    >this week{all > 0 ? `; most in a week ${most}${besides}` : ''}</text
  >
  <rect x="0" y={H + 24} width={W} height="9" fill="var(--color-line)" />
  <rect
    x="0"
    y={H + 24}
    width={at(supply.free)}
    height="9"
    fill={supply.orderPacks > 0 ? 'var(--color-out)' : 'var(--color-well)'}
  />
  <line
    x1={at(supply.reorderPoint)}
    x2={at(supply.reorderPoint)}
    y1={H + 20}
    y2={H + 37}
    stroke="var(--color-ink)"
    stroke-width="2"
  />
  <text x={W} y={H + 48} text-anchor="end" font-size="11" fill="var(--color-quiet)">{supply.free} free</text>
  <text
    x={Math.min(W - 70, at(supply.reorderPoint))}
    y={H + 48}
    text-anchor={at(supply.reorderPoint) < 40 ? 'start' : 'middle'}
    font-size="11"
    fill="var(--color-ink)">order at {supply.reorderPoint}</text
  >
</svg>
