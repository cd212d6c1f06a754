<script lang="ts">
  /** The paper tag: wherever a machine is named, always the same. */
  let { tag, red = false, large = false }: { tag: string; red?: boolean; large?: boolean } = $props();
</script>

<span class="inline-flex items-center gap-1.5 align-middle">
  <span
    class={[
      'inline-flex items-center gap-1.5 border border-paper-edge bg-paper pr-2.5 pl-2 font-mono font-semibold whitespace-nowrap',
      large ? 'h-8 text-base' : 'h-6.5 text-[0.9375rem]',
    ]}
    style="clip-path: polygon(9px 0, 100% 0, 100% 100%, 0 100%, 0 9px)"
  >
    <span aria-hidden="true" class="size-[9px] shrink-0 rounded-full border border-paper-edge bg-sheet"
    ></span>{tag}
  </span>
  {#if red}<span class="hatch rounded-sm px-1 py-0.5 text-xs leading-4 font-bold"
      ><span class="bg-red px-0.5">RED TAG</span></span
    >{/if}
</span>
