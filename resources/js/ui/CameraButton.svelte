<script lang="ts">
  import { later } from '@/api/later';

  /** Opens the camera to read a code; what reads it is fetched when it is first wanted. */
  let { onread, small = false }: { onread: (text: string) => unknown; small?: boolean } = $props();

  const scan = later(() => import('./CameraScan.svelte'));
  let open = $state(false);
  let wanted = $state(false);
</script>

<button
  type="button"
  aria-label="Read a code with the camera"
  title="Read a code with the camera"
  class={[
    'flex shrink-0 items-center justify-center rounded-sm border border-edge bg-white hover:bg-wash',
    small ? 'h-9 w-10 max-lg:h-11 max-lg:w-11' : 'h-11 w-12',
  ]}
  onclick={() => {
    wanted = true;
    open = true;
  }}
>
  <svg
    viewBox="0 0 24 24"
    class="h-5 w-5"
    fill="none"
    stroke="currentColor"
    stroke-width="1.8"
    aria-hidden="true"
  >
    <path d="M4 8V4h4M16 4h4v4M20 16v4h-4M8 20H4v-4M8 9v6M11 9v6M14 9v6M16.5 9v6" />
  </svg>
</button>
{#if wanted}
  {#await scan() then { default: CameraScan }}
    <CameraScan bind:open {onread} />
  {/await}
{/if}
