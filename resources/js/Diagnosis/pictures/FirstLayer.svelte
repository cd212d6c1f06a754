<script lang="ts">
  import Panel from './Panel.svelte';

  /** First-layer lines seen from above and in section: too far, right, too near. */
  const rows = [12, 21, 30, 39];
</script>

<Panel caption="too far: round, apart">
  {#each rows as y, i (y)}
    <path
      d="M6 {y} q 10 {i % 2 ? 3 : -3} 20 0 t 20 0 t 20 0 t 18 {i % 2 ? -2 : 2}"
      stroke="var(--color-waiting)"
      stroke-width="3.4"
    />
  {/each}
  {#each [16, 34, 52, 70] as x (x)}<circle cx={x} cy="52" r="4" fill="var(--color-brass)" />{/each}
  <path d="M4 57 H86" stroke="var(--color-ink)" stroke-width="1.4" />
</Panel>
<Panel caption="right: flat, closed">
  {#each rows as y (y)}<path d="M6 {y} H84" stroke="var(--color-waiting)" stroke-width="8.4" />{/each}
  {#each rows.slice(1) as y (y)}<path
      d="M4 {y - 4.5} H86"
      stroke="var(--color-paper)"
      stroke-width="0.7"
    />{/each}
  {#each [16, 34, 52, 70] as x (x)}<rect
      x={x - 9}
      y="50"
      width="18"
      height="6.4"
      rx="3"
      fill="var(--color-brass)"
      stroke="var(--color-paper)"
      stroke-width="0.8"
    />{/each}
  <path d="M4 57 H86" stroke="var(--color-ink)" stroke-width="1.4" />
</Panel>
<Panel caption="too near: scraped, see-through">
  <rect x="5" y="7" width="80" height="37" fill="var(--color-paper-deep)" />
  {#each rows as y (y)}
    <path d="M6 {y} H84" stroke="var(--color-waiting)" stroke-width="1" stroke-dasharray="7 3 2 4" />
    <path
      d="M8 {y + 4} l4 -3 l5 3 l6 -3 l4 3 M58 {y + 4} l5 -3 l5 3"
      stroke="var(--color-waiting)"
      stroke-width="1.6"
    />
  {/each}
  <rect x="6" y="54" width="78" height="2.4" fill="var(--color-brass)" />
  <path d="M4 57 H86" stroke="var(--color-ink)" stroke-width="1.4" />
</Panel>
