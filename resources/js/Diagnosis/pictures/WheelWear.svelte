<script lang="ts">
  import Panel from './Panel.svelte';
</script>

<Panel caption="wheel: round, well">
  <circle cx="45" cy="28" r="21" fill="var(--color-steel)" stroke="var(--color-ink)" stroke-width="1.6" />
  <circle cx="45" cy="28" r="8" fill="var(--color-white)" stroke="var(--color-ink)" stroke-width="1.4" />
  <path d="M8 51 H82" stroke="var(--color-quiet)" stroke-width="3" />
</Panel>
<Panel caption="flat spot: thumps each turn">
  <path
    d="M30 43 A21 21 0 1 1 60 43 Z"
    fill="var(--color-steel)"
    stroke="var(--color-ink)"
    stroke-width="1.6"
  />
  <path d="M30 43 H60" stroke="var(--color-out)" stroke-width="2.6" />
  <circle cx="45" cy="28" r="8" fill="var(--color-white)" stroke="var(--color-ink)" stroke-width="1.4" />
  <path d="M8 46 H82" stroke="var(--color-quiet)" stroke-width="3" />
</Panel>
<Panel caption="torn: look at the rail too">
  <circle cx="45" cy="28" r="21" fill="var(--color-steel)" stroke="var(--color-ink)" stroke-width="1.6" />
  <path
    d="M58 12 l5 -5 l-1 8 l6 1 l-7 4"
    fill="var(--color-white)"
    stroke="var(--color-out)"
    stroke-width="1.8"
  />
  <circle cx="45" cy="28" r="8" fill="var(--color-white)" stroke="var(--color-ink)" stroke-width="1.4" />
  <path d="M8 51 H36 l2 3 h6 l2 -3 H82" stroke="var(--color-out)" stroke-width="2.4" />
</Panel>
