<script lang="ts">
  import type { Mark } from './farm';
  import Sign from './Sign.svelte';

  /** A machine as it stands on a shelf, and over it the sign of what matters. Drawn from what its family is. */
  interface Props {
    motion: string | null;
    closed: boolean;
    /** it lies on the bench, so its place is empty */
    away?: boolean;
    shown: readonly Mark[];
    /** the signs stand in the machine, not over it: that is how hundreds are told apart */
    inside?: boolean;
  }
  let { motion, closed, away = false, shown, inside = false }: Props = $props();
  // an empty place says by itself that its machine is on the bench
  const signs = $derived(shown.filter((mark) => !(inside && away && mark === 'bench')).slice(0, 2));
</script>

<svg
  viewBox={inside ? '3 20 54 53' : '0 0 60 72'}
  class="block h-full w-full overflow-visible"
  aria-hidden="true"
>
  {#if away}
    <rect
      x="7"
      y="22"
      width="46"
      height="49"
      rx="1.5"
      fill="none"
      stroke="var(--color-shade)"
      stroke-width="1.5"
      stroke-dasharray="4 3.5"
    />
  {:else if motion === 'delta'}
    <path d="M8 71 H52 V66 H8 Z" fill="var(--color-shade)" />
    <path
      d="M13 66 L30 21 L47 66 M30 24 V66"
      fill="none"
      stroke="var(--color-quiet)"
      stroke-width="2.6"
      stroke-linejoin="round"
    />
  {:else if motion === 'corexy' || motion === 'gantry'}
    <rect
      x="8"
      y="22"
      width="44"
      height="48"
      fill={closed ? 'var(--color-steel)' : 'none'}
      stroke="var(--color-quiet)"
      stroke-width="3"
    />
    {#if closed}<rect
        x="15"
        y="30"
        width="30"
        height="26"
        fill="var(--color-sheet)"
        stroke="var(--color-shade)"
        stroke-width="1.5"
      />{/if}
    <path d="M16 39 H44" stroke="var(--color-quiet)" stroke-width="2.2" />
    <rect x="25" y="36" width="10" height="8" fill="var(--color-shade)" />
  {:else if motion === 'cantilever'}
    <path d="M8 71 H52 V65 H8 Z" fill="var(--color-shade)" />
    <path d="M16 65 V24 M16 38 H46" fill="none" stroke="var(--color-quiet)" stroke-width="3.4" />
    <rect x="34" y="34" width="10" height="9" fill="var(--color-shade)" />
  {:else}
    <path d="M5 71 H55 V65 H5 Z" fill="var(--color-shade)" />
    <path d="M11 65 V25 H49 V65 M11 41 H49" fill="none" stroke="var(--color-quiet)" stroke-width="3" />
    <rect x="24" y="37" width="12" height="10" fill="var(--color-shade)" />
  {/if}
  {#each signs as mark, i (mark)}
    {#if inside}
      <g
        transform="translate({signs.length > 1 ? 18 + 25 * i : 30} 46) scale({signs.length > 1 ? 1.3 : 1.9})"
      >
        <circle r="8.5" fill="var(--color-sheet)" />
        <Sign {mark} />
      </g>
    {:else}
      <g transform="translate({signs.length > 1 ? 20 + 20 * i : 30} 9)">
        <Sign {mark} />
      </g>
    {/if}
  {/each}
</svg>
