<script lang="ts">
  /** A fault's probability leaning out from its starting rate, on a log-odds scale; from and to lie between 0 and 1. */
  let { from, to, danger = false }: { from: number; to: number; danger?: boolean } = $props();

  const raised = $derived(to >= from);
  const left = $derived(Math.min(from, to) * 100);
  const width = $derived(Math.max(Math.abs(to - from) * 100, 0.8));
</script>

<span aria-hidden="true" class="relative block h-4 w-full">
  <span class="absolute inset-x-0 top-1/2 h-px bg-line"></span>
  <span
    class={['absolute top-[3px] h-2.5', danger && raised ? 'hatch' : raised ? 'bg-action' : 'bg-steel-worn']}
    style="left: {left}%; width: {width}%"
  ></span>
  <span class="absolute top-0 h-4 w-[2px] bg-ink" style="left: calc({from * 100}% - 1px)"></span>
</span>
