<script lang="ts">
  /** Of all machines: those that are affected for certain, those that may be, and how far it was looked. */
  let { all, looked, least, most }: { all: number; looked: number; least: number; most: number } = $props();

  const share = (count: number): number => (100 * count) / Math.max(1, all);
</script>

<div
  class="relative mt-2 h-12"
  role="img"
  aria-label="affected for certain between {least} and {most} of {all}; {looked} looked at"
>
  <span class="absolute inset-x-0 top-2 h-4 border border-edge bg-white"></span>
  <span class="absolute top-2 left-0 h-4 bg-out" style="width: {share(least)}%"></span>
  <span
    class="absolute top-2 h-4"
    style="left: {share(least)}%; width: {share(
      most - least,
    )}%; background: repeating-linear-gradient(-45deg, var(--color-out) 0 1.5px, var(--color-out-wash) 1.5px 6px)"
  ></span>
  <span class="absolute top-0 h-8 border-l-2 border-ink" style="left: calc({share(looked)}% - 1px)"></span>
  <span class="absolute top-8 left-0 font-mono text-[0.8125rem] text-quiet">0</span>
  <span
    class={[
      'absolute top-8 text-[0.8125rem] text-quiet',
      looked > all / 2 ? '-translate-x-full pr-1' : 'pl-1',
      (share(looked) < 8 || share(looked) > 88) && 'hidden',
    ]}
    style="left: {share(looked)}%">looked</span
  >
  <span class="absolute top-8 right-0 font-mono text-[0.8125rem] text-quiet">{all}</span>
</div>
