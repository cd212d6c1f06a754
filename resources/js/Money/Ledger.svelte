<script lang="ts">
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { here } from '@/api/session.svelte';
  import Field from '@/ui/Field.svelte';
  import { dayIn, hours, money } from '@/ui/format';
  import FaultBars from './FaultBars.svelte';
  import LedgerPlaces from './LedgerPlaces.svelte';
  import ResaleStrip from './ResaleStrip.svelte';

  /** What a span of days cost and brought. */
  const me = here();
  const today = dayIn(me.zone);
  let from = $state(`${today.slice(0, 8)}01`);
  let to = $state(today);
  const ledger = createQuery(() => ({
    queryKey: ['ledger', from, to],
    queryFn: () => told(api.GET('/money/ledger', { params: { query: { from, to } } })),
    placeholderData: keepPreviousData,
  }));
  const it = $derived(ledger.data);
  const span = $derived(`from=${from}&to=${to}`);
  function year(): void {
    from = `${today.slice(0, 4)}-01-01`;
    to = today;
  }
</script>

<svelte:head><title>Ledger · Odd Bench</title></svelte:head>

{#snippet sum(what: string, minor: number, more = '')}
  <dt>
    {what}{#if more}<span class="ml-1.5 text-quiet">{more}</span>{/if}
  </dt>
  <dd class={['fig text-right', minor < 0 && 'text-out']}>{money(minor, me.currency)}</dd>
{/snippet}

<main class="grid lg:min-h-[calc(100vh-7.6rem)] lg:grid-cols-[minmax(0,1fr)_360px]">
  <div class="min-w-0 px-4 py-3 md:px-5">
    <LedgerPlaces />
    <div class="mt-2 flex flex-wrap items-end gap-3">
      <h1 class="mr-2 self-center">The books</h1>
      <div class="w-40"><Field label="From" type="date" bind:value={from} /></div>
      <div class="w-40"><Field label="To" type="date" bind:value={to} /></div>
      <button type="button" class="min-h-11 text-sm text-action underline" onclick={year}>This year</button>
      <span class="ml-auto flex gap-4 self-center text-sm">
        <a class="text-action underline" href="/files/ledger.csv?{span}" download>Table</a>
        <a class="text-action underline" href="/files/bills.csv?{span}" download>Bills for the bookkeeping</a>
      </span>
    </div>
    {#if ledger.isError}<p role="alert" class="mt-4 text-out">✕ {ledger.error.message}</p>{/if}
    {#if it}
      <section class="mt-4" aria-labelledby="faults">
        <h2 id="faults">Which faults cost the shop most</h2>
        {#if it.faults.length > 0}<FaultBars faults={it.faults} />{:else}<p class="text-sm text-quiet">
            Nothing was worked on in these days.
          </p>{/if}
      </section>
      <section class="mt-5" aria-labelledby="families">
        <h2 id="families">Which families pay</h2>
        <div class="overflow-x-auto">
          <table class="mt-1 w-full text-sm">
            <thead>
              <tr class="text-left text-quiet">
                <th class="py-1 font-normal">Family</th>
                <th class="px-2 text-right font-normal">jobs</th>
                <th class="px-2 text-right font-normal">hands</th>
                <th class="px-2 text-right font-normal">cost</th>
                <th class="px-2 text-right font-normal">parts</th>
                <th class="px-2 text-right font-normal">charged</th>
                <th class="px-2 text-right font-normal">borne</th>
                <th class="pl-2 text-right font-normal">left</th>
              </tr>
            </thead>
            <tbody>
              {#each it.families as line (line.code)}
                <tr class="border-t border-line">
                  <td class="py-1">{line.name}</td>
                  <td class="fig px-2 text-right">{line.jobs}</td>
                  <td class="px-2 text-right whitespace-nowrap"
                    ><span class="fig">{hours(line.handsMinutes / 60)}</span>
                    <span class="text-quiet">h</span></td
                  >
                  <td class="fig px-2 text-right">{money(line.handsMinor, me.currency)}</td>
                  <td class="fig px-2 text-right">{money(line.partsMinor, me.currency)}</td>
                  <td class="fig px-2 text-right">{money(line.chargedMinor, me.currency)}</td>
                  <td class="fig px-2 text-right">{money(line.warrantyMinor, me.currency)}</td>
                  <td class={['fig pl-2 text-right font-semibold', line.leftMinor < 0 && 'text-out']}
                    >{money(line.leftMinor, me.currency)}</td
                  >
                </tr>
              {/each}
            </tbody>
          </table>
        </div>
        <p class="mt-1 text-sm text-quiet">
          Left: charged less the hands and parts that owners’ machines took; our own are charged to nobody.
        </p>
      </section>
      <section class="mt-5" aria-labelledby="resale">
        <h2 id="resale">From bid to sale</h2>
        {#if it.resale.length > 0}<ResaleStrip resale={it.resale} />{:else}<p class="text-sm text-quiet">
            No machine was bought by a sheet in these days. Begin under Buying.
          </p>{/if}
      </section>
    {/if}
  </div>
  <aside class="border-line bg-side px-5 py-4 max-lg:border-t lg:border-l">
    {#if it}
      <h2>In all</h2>
      <dl class="mt-1 grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 gap-y-0.5 text-sm">
        {@render sum('Hands', it.handsMinor, `${hours(it.handsMinutes / 60)} h`)}
        {@render sum('Parts used', it.partsMinor, 'at cost')}
        {@render sum('Charged', it.chargedMinor, `net, ${it.bills} ${it.bills === 1 ? 'bill' : 'bills'}`)}
        {#if it.taxMinor > 0}{@render sum('Tax on them', it.taxMinor)}{/if}
        {@render sum('Borne by the shop', it.warrantyMinor, 'comebacks, mistakes')}
        {@render sum('Bought', it.boughtMinor, 'for resale')}
        {@render sum('Sold', it.soldMinor)}
        {@render sum('Stock is worth', it.stockMinor, 'at the end')}
      </dl>
    {:else if !ledger.isError}<p class="text-quiet" role="status">Adding up…</p>{/if}
  </aside>
</main>
