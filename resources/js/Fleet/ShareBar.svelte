<script lang="ts">
  import type { LookList } from '@/api/types';
  import { percent } from '@/ui/format';

  /** The share affected with its interval, drawn to scale from 0 to 100 %. */
  let { list }: { list: LookList } = $props();
</script>

{#if list.share !== null && list.shareLow !== null && list.shareHigh !== null}
  <div
    class="relative mt-2 h-11"
    role="img"
    aria-label="{percent(list.share)} % of those looked at, between {percent(list.shareLow)} and {percent(
      list.shareHigh,
    )} % of all"
  >
    <span class="absolute inset-x-0 top-3 h-px bg-edge"></span>
    <span
      class="absolute top-1.5 h-3.5 border border-out bg-out-wash"
      style="left: {list.shareLow * 100}%; width: {(list.shareHigh - list.shareLow) * 100}%"
    ></span>
    <span class="absolute top-0 h-6 w-[3px] bg-out" style="left: calc({list.share * 100}% - 1.5px)"></span>
    <span class="absolute top-6 left-0 font-mono text-[0.8125rem] text-quiet">0</span>
    <span class="absolute top-6 left-1/2 -translate-x-1/2 font-mono text-[0.8125rem] text-quiet">50</span>
    <span class="absolute top-6 right-0 font-mono text-[0.8125rem] text-quiet">100 %</span>
  </div>
{/if}
