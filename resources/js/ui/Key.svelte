<script lang="ts">
  import type { Snippet } from 'svelte';
  import { singleKeys } from './singleKeys.svelte';

  let { children, light = false }: { children: Snippet; light?: boolean } = $props();
</script>

{#if singleKeys.on}<kbd
    aria-hidden="true"
    class={[
      'ml-1 inline-block rounded-sm border px-1.5 font-mono text-[0.8125rem] leading-5 no-underline',
      light ? 'border-white/50' : 'border-line bg-white text-quiet',
    ]}>{@render children()}</kbd
  >{/if}
