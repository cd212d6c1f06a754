<script lang="ts">
  import type { LifeLine } from '@/api/types';
  import { hours } from '@/ui/format';
  import { along, LAST } from './lifeScale';

  /** The mean life with what it may be, on a scale of hours; a notch where the trade has it. */
  let { life }: { life: LifeLine } = $props();

  const at = along;
  const round = (value: number): number => Math.round(value / 10) * 10;
  const off = $derived(life.own && life.tradeHours ? life.meanHours / life.tradeHours - 1 : null);
</script>

<span
  class="flex items-center gap-3"
  role="img"
  aria-label="{hours(round(life.meanHours))} h on the average, {life.highHours === null
    ? `over ${hours(round(life.lowHours))}`
    : `${hours(round(life.lowHours))} to ${hours(round(life.highHours))}`} h{life.tradeHours
    ? `; the trade says ${hours(life.tradeHours)} h`
    : ''}"
>
  <span class="relative h-6 min-w-16 flex-1 max-md:hidden">
    <span class="absolute inset-x-0 top-[11px] h-px bg-line"></span>
    <span
      class={[
        'absolute top-2 h-2',
        life.own ? 'bg-wash' : 'bg-drawer',
        life.highHours !== null && life.highHours < LAST && 'border-r border-quiet',
      ]}
      style="left: {at(life.lowHours)}%; width: {at(life.highHours ?? LAST) - at(life.lowHours)}%"
    ></span>
    {#if life.tradeHours !== null}
      <span
        class="absolute top-0 h-6 border-l border-dashed border-quiet"
        style="left: {at(life.tradeHours)}%"
      ></span>
    {/if}
    <span
      class={['absolute top-1 h-4 w-[3px]', life.own ? 'bg-action' : 'bg-shade']}
      style="left: calc({at(life.meanHours)}% - 1.5px)"
    ></span>
  </span>
  <span class="w-34 shrink-0 text-right text-sm"
    ><span class="fig font-semibold">{hours(round(life.meanHours))}</span> h{#if off !== null}
      <span class={Math.abs(off) < 0.1 ? 'text-quiet' : off < 0 ? 'text-out' : 'text-well'}
        >{off < 0 ? '−' : '+'}<span class="fig">{Math.round(Math.abs(off) * 100)}</span> %</span
      >{/if}</span
  >
</span>
