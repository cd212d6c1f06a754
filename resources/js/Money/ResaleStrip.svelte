<script lang="ts">
  import { scaleTime } from 'd3-scale';
  import type { Ledger } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import { p } from '@/router';
  import { day, money } from '@/ui/format';
  import { now } from '@/ui/now.svelte';
  import Tag from '@/ui/Tag.svelte';

  /** Machines for resale, each a strip of time from bid to sale, with what it made. */
  let { resale }: { resale: Ledger['resale'] } = $props();

  const me = here();
  const W = 360;
  const from = $derived(Math.min(...resale.map((one) => Date.parse(one.bidAt)), now.ms));
  const x = $derived(
    scaleTime()
      .domain([from, Math.max(now.ms, from + 1)])
      .range([4, W - 6]),
  );
</script>

<ul class="mt-1 text-sm">
  {#each resale as one (one.offer)}
    <li
      class="rule-below grid items-center gap-x-3 py-1 md:grid-cols-[9rem_minmax(0,1fr)_minmax(0,1fr)_7rem]"
    >
      <a href={p('/buying/:id', { params: { id: String(one.offer) } })}
        >{#if one.tag}<Tag tag={one.tag} />{:else}{one.familyName}{/if}</a
      >
      <svg viewBox="0 0 {W} 18" class="block w-full max-w-[360px]" aria-hidden="true">
        <line x1="0" x2={W} y1="9" y2="9" class="stroke-line" />
        <line
          x1={x(Date.parse(one.decidedAt ?? one.bidAt))}
          x2={x(one.soldAt ? Date.parse(one.soldAt) : now.ms)}
          y1="9"
          y2="9"
          class={one.stopNow ? 'stroke-out' : one.soldAt ? 'stroke-well' : 'stroke-waiting'}
          stroke-width="5"
          stroke-dasharray={one.soldAt ? undefined : '5 3'}
        />
        <circle cx={x(Date.parse(one.bidAt))} cy="9" r="4" class="fill-sheet stroke-ink" stroke-width="2" />
        {#if one.soldAt}<circle cx={x(Date.parse(one.soldAt))} cy="9" r="5" class="fill-well" />{/if}
      </svg>
      <span class={['block truncate', one.stopNow ? 'text-out' : 'text-quiet']} title={one.stands}
        >{one.stopNow ? '✕ ' : ''}{one.soldAt
          ? `sold ${day(one.soldAt, me.zone)} for ${money(one.soldMinor ?? 0, me.currency)}`
          : one.stands}</span
      >
      <span class="text-right">
        {#if one.madeMinor !== null}<span class={['fig block', one.madeMinor < 0 && 'text-out']}
            >{money(one.madeMinor, me.currency)}</span
          >{#if one.perHourMinor !== null}<span class="text-quiet"
              ><span class="fig">{money(one.perHourMinor, me.currency)}</span>/h</span
            >{/if}
        {:else}<span class="fig text-quiet"
            >{money(-(one.boughtMinor ?? 0) - one.spentMinor, me.currency)}</span
          >{/if}
      </span>
    </li>
  {/each}
</ul>
