<script lang="ts">
  import Panel from './Panel.svelte';

  const layers = Array.from({ length: 12 }, (_, i) => 6 + i * 4.2);
</script>

<Panel caption="ripple: waves all the way up">
  {#each layers as y, i (y)}
    <path
      d="M{22 + 3 * Math.sin(i * 0.95)} {y} H{68 + 3 * Math.sin(i * 0.95)}"
      stroke="var(--color-quiet)"
      stroke-width="3.4"
    />
  {/each}
</Panel>
<Panel caption="bump: same mark, same distance">
  {#each layers as y, i (y)}
    <path d="M22 {y} H68" stroke="var(--color-quiet)" stroke-width="3.4" />
    {#if i % 4 === 1}<circle cx="69" cy={y} r="2.6" fill="var(--color-out)" /><circle
        cx="21"
        cy={y}
        r="2.6"
        fill="var(--color-out)"
      />{/if}
  {/each}
  <path d="M77 10.2 V27 M75 10.2 h4 M75 27 h4" stroke="var(--color-out)" stroke-width="1" />
</Panel>
<Panel caption="echo: after corners only">
  <rect x="22" y="6" width="46" height="48" fill="var(--color-drawer)" stroke="var(--color-quiet)" />
  {#each [0, 1, 2, 3] as i (i)}
    <path
      d="M{28 + i * 5} 8 V52"
      stroke="var(--color-quiet)"
      stroke-width={2.2 - i * 0.5}
      opacity={1 - i * 0.22}
    />
  {/each}
</Panel>
