<script lang="ts">
  import type { Mark } from './farm';

  /** The sign of what matters on a machine, around 0,0: each has a shape of its own. */
  let { mark }: { mark: Mark } = $props();
</script>

{#if mark === 'red'}
  <rect x="-14" y="-7" width="28" height="13" fill="url(#red-hatch)" />
{:else if mark === 'bench'}
  <rect
    x="-6.5"
    y="-6.5"
    width="13"
    height="13"
    fill="none"
    stroke="var(--color-action)"
    stroke-width="2.6"
    stroke-dasharray="2.6 2"
  />
{:else if mark === 'fail'}
  <path d="M0 -8 L8 0 L0 8 L-8 0 Z" fill="var(--color-waiting)" />
{:else if mark === 'service'}
  <circle r="6" fill="none" stroke="var(--color-waiting)" stroke-width="2.8" />
{:else}
  <path d="M-6 -6 L6 6 M6 -6 L-6 6" stroke="var(--color-out)" stroke-width="3" />
{/if}
