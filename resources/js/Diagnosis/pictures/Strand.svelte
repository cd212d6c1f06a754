<script lang="ts">
  import Panel from './Panel.svelte';
</script>

{#snippet nozzle()}
  <path
    d="M34 4 H56 V12 L48 20 H42 L34 12 Z"
    fill="var(--color-steel)"
    stroke="var(--color-ink)"
    stroke-width="1.3"
  />
{/snippet}
<Panel caption="straight: well">
  {@render nozzle()}
  <path d="M45 20 V56" stroke="var(--color-waiting)" stroke-width="2.6" />
</Panel>
<Panel caption="slight bend: well">
  {@render nozzle()}
  <path d="M45 20 C45 34 48 44 56 56" stroke="var(--color-waiting)" stroke-width="2.6" />
</Panel>
<Panel caption="curls back: partial clog">
  {@render nozzle()}
  <path
    d="M45 20 C46 30 58 34 62 26 C65 18 58 12 53 16 C50 19 53 23 57 22"
    stroke="var(--color-out)"
    stroke-width="2.6"
  />
</Panel>
