<script lang="ts">
  import Panel from './Panel.svelte';

  const turns = [0, 1, 2, 3, 4, 5, 6];
</script>

<Panel caption="rod or rail: even shine">
  <rect
    x="8"
    y="22"
    width="74"
    height="16"
    rx="3"
    fill="var(--color-steel)"
    stroke="var(--color-ink)"
    stroke-width="1.4"
  />
  <path d="M10 27 H80" stroke="var(--color-white)" stroke-width="2.4" />
</Panel>
<Panel caption="groove: nail catches">
  <rect
    x="8"
    y="22"
    width="74"
    height="16"
    rx="3"
    fill="var(--color-steel)"
    stroke="var(--color-ink)"
    stroke-width="1.4"
  />
  <path d="M14 30 H76" stroke="var(--color-out)" stroke-width="2.6" />
  <path d="M14 33 H76 M14 27.5 H76" stroke="var(--color-out)" stroke-width="0.7" />
</Panel>
<Panel caption="lead screw: dry, thread thinned">
  {#each turns as i (i)}
    <path d="M{12 + i * 10} 40 l6 -20" stroke="var(--color-ink)" stroke-width={i > 2 && i < 5 ? 1.2 : 4.2} />
  {/each}
  <path d="M8 20 H82 M8 40 H82" stroke="var(--color-quiet)" stroke-width="1" />
  {#each [34, 41, 47] as x (x)}<circle cx={x} cy="47" r="1.6" fill="var(--color-quiet)" />{/each}
</Panel>
