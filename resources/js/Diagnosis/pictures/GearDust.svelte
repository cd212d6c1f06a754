<script lang="ts">
  import Panel from './Panel.svelte';

  const teeth = Array.from({ length: 16 }, (_, i) => (i * Math.PI) / 8);
  const dust = [
    [40, 44],
    [46, 48],
    [53, 45],
    [35, 49],
    [59, 50],
    [49, 53],
    [42, 53],
    [55, 54],
    [31, 54],
    [63, 55],
    [47, 43],
    [38, 55],
  ] as const;
</script>

{#snippet gear(packed: boolean)}
  {#each teeth as a (a)}
    <path
      d="M{33 + 14 * Math.cos(a)} {26 + 14 * Math.sin(a)} L{33 + 18.5 * Math.cos(a)} {26 +
        18.5 * Math.sin(a)}"
      stroke="var(--color-ink)"
      stroke-width={packed ? 1.6 : 2.4}
    />
  {/each}
  <circle
    cx="33"
    cy="26"
    r="14"
    fill="var(--color-steel)"
    stroke={packed ? 'var(--color-brass)' : 'var(--color-ink)'}
    stroke-width={packed ? 4.5 : 1.4}
  />
  <circle cx="33" cy="26" r="4" fill="var(--color-white)" stroke="var(--color-ink)" />
  <path d="M53.5 2 V58" stroke="var(--color-waiting)" stroke-width="4" />
{/snippet}
<Panel caption="clean: teeth sharp">{@render gear(false)}</Panel>
<Panel caption="powder: teeth packed">
  {@render gear(true)}
  {#each dust as [x, y] (`${x}-${y}`)}<circle cx={x} cy={y} r="1.4" fill="var(--color-waiting)" />{/each}
</Panel>
<Panel caption="bitten out: it slipped">
  {@render gear(false)}
  <path d="M51.6 20 q 3 6 0 12" fill="var(--color-white)" stroke="var(--color-out)" stroke-width="1.6" />
  {#each dust.slice(0, 5) as [x, y] (`${x}-${y}`)}<circle
      cx={x}
      cy={y}
      r="1.2"
      fill="var(--color-waiting)"
    />{/each}
</Panel>
