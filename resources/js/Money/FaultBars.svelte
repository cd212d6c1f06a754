<script lang="ts">
  import type { Ledger } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import { hours, money } from '@/ui/format';

  /** Money by fault as bars, hands and parts apart, the hours beside. */
  let { faults }: { faults: Ledger['faults'] } = $props();

  const me = here();
  const MOST = 10;
  const shown = $derived(faults.filter((fault) => fault.handsMinor + fault.partsMinor > 0).slice(0, MOST));
  const most = $derived(Math.max(1, ...shown.map((fault) => fault.handsMinor + fault.partsMinor)));
</script>

<ul class="mt-1 text-sm">
  {#each shown as fault (fault.code)}
    <li class="grid grid-cols-[minmax(0,12rem)_minmax(0,1fr)_5.5rem_4.5rem] items-center gap-x-3 py-0.5">
      <span class="truncate" title={fault.name}>{fault.name}</span>
      <span class="flex h-3" aria-hidden="true">
        <span class="h-3 bg-action" style="width: {(100 * fault.handsMinor) / most}%"></span>
        <span class="h-3 bg-brass" style="width: {(100 * fault.partsMinor) / most}%"></span>
      </span>
      <span class="fig text-right">{money(fault.handsMinor + fault.partsMinor, me.currency)}</span>
      <span class="text-right whitespace-nowrap"
        ><span class="fig">{hours(fault.handsMinutes / 60)}</span> <span class="text-quiet">h</span></span
      >
    </li>
  {/each}
</ul>
<p class="mt-1 text-sm text-quiet">
  <span aria-hidden="true" class="inline-block size-2.5 bg-action"></span> hands
  <span aria-hidden="true" class="ml-2 inline-block size-2.5 bg-brass"></span> parts
</p>
