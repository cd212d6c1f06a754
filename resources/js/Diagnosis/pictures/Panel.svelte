<script lang="ts">
  import type { Snippet } from 'svelte';

  /** One small drawing with what it shows under it. */
  let { caption, children }: { caption: string; children: Snippet } = $props();
</script>

<figure class="min-w-0 flex-1">
  <svg
    viewBox="0 0 90 60"
    class="w-full border border-line bg-white"
    aria-hidden="true"
    stroke-linecap="round"
    stroke-linejoin="round"
    fill="none"
  >
    {@render children()}
  </svg>
  <figcaption class="mt-0.5 text-center text-[0.8125rem] leading-tight text-quiet">{caption}</figcaption>
</figure>
