<script lang="ts">
  import type { Station } from '@/api/types';

  /** The station ruler in a line: six marks, the present one taller. */
  let { station, name }: { station: Station; name: string } = $props();
  const all: Station[] = ['intake', 'safety', 'diagnosis', 'repair', 'proof', 'release'];
  const at = $derived(all.indexOf(station));
</script>

<span class="flex items-center gap-[2px]" role="img" aria-label="At {name}" title={name}>
  {#each all as mark, i (mark)}
    <span class={['w-[11px]', i === at ? 'h-3.5 bg-action' : i < at ? 'h-1.5 bg-action' : 'h-1.5 bg-line']}
    ></span>
  {/each}
</span>
