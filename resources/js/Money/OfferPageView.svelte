<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { offerQuery } from '@/api/queries';
  import type { OfferPage } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import { navigate, p, route } from '@/router';
  import Button from '@/ui/Button.svelte';
  import { day, minutes, money, percent } from '@/ui/format';
  import Tag from '@/ui/Tag.svelte';
  import LedgerPlaces from './LedgerPlaces.svelte';
  import OfferDecision from './OfferDecision.svelte';
  import OfferSheet from './OfferSheet.svelte';
  import OfferStages from './OfferStages.svelte';
  import Sell from './Sell.svelte';
  import StageLine from './StageLine.svelte';

  const me = here();
  const client = useQueryClient();
  const id = $derived((route.params as Record<string, string>)['id'] ?? 'new');
  const fresh = $derived(id === 'new');
  const query = createQuery(() => ({ ...offerQuery(Number(id)), enabled: !fresh }));
  const offer = $derived(fresh ? undefined : query.data);
  let editing = $state(false);

  function keep(kept: OfferPage): void {
    client.setQueryData(['offer', kept.id], kept);
    editing = false;
    if (fresh) void navigate('/buying/:id', { params: { id: String(kept.id) } });
  }
  const guess = $derived([...(offer?.stages ?? [])].sort((a, b) => b.ifSureMinor - a.ifSureMinor)[0]);
</script>

<svelte:head
  ><title>{offer ? `${offer.familyName} on offer` : 'A machine on offer'} · Odd Bench</title></svelte:head
>

{#if fresh}
  <main class="px-4 py-3 md:px-5">
    <LedgerPlaces />
    <h1 class="mt-2 mb-3">A broken machine is on offer</h1>
    <OfferSheet offer={null} {keep} />
  </main>
{:else if offer}
  <main class="grid lg:min-h-[calc(100vh-7.6rem)] lg:grid-cols-[minmax(0,1fr)_350px]">
    <div class="min-w-0 px-4 py-3 md:px-5">
      <LedgerPlaces />
      <h1 class="mt-2 flex flex-wrap items-baseline gap-x-3">
        {#if offer.tag}<a href={p('/machines/:tag', { params: { tag: offer.tag } })}
            ><Tag tag={offer.tag} /></a
          >{/if}
        {offer.familyName}{offer.state === 'open' ? ', on offer' : ''}
        <span class="text-base font-normal text-quiet"
          >{offer.seller}{offer.askedMinor === null ? '' : `, asked ${money(offer.askedMinor, me.currency)}`}, {day(
            offer.at,
            me.zone,
          )}</span
        >
        {#if offer.job}<a
            class="text-sm font-normal text-action underline"
            href={p('/jobs/:id', { params: { id: String(offer.job) } })}>its job</a
          >{/if}
      </h1>
      {#if editing}
        <div class="mt-3"><OfferSheet {offer} {keep} cancel={() => (editing = false)} /></div>
      {:else}
        <div class="mt-3 grid gap-x-8 gap-y-4 md:grid-cols-2">
          <section aria-labelledby="says">
            <h2 id="says">What the seller says</h2>
            <p class="mt-1 border border-line bg-white px-3 py-2 break-words">“{offer.says}”</p>
            {#if offer.missing}<p class="mt-1 text-sm">
                Missing: {offer.missing} <span class="fig">{money(offer.missingMinor, me.currency)}</span>
              </p>{/if}
            {#if offer.likely.length > 0}
              <p class="mt-2 text-sm text-quiet">So it may be</p>
              <ul class="text-sm">
                {#each offer.likely as fault (fault.code)}
                  <li class="flex justify-between gap-3">
                    <span class="min-w-0 truncate"
                      >{fault.name}
                      <span class="text-quiet"
                        ><span class="fig">{percent(fault.probability)}</span> of 100</span
                      ></span
                    >
                    <span class="fig whitespace-nowrap">{money(fault.mendMinor, me.currency)}</span>
                  </li>
                {/each}
              </ul>
            {/if}
          </section>
          <section aria-labelledby="could">
            <h2 id="could">What it could sell for</h2>
            <dl class="mt-1 grid grid-cols-[minmax(0,1fr)_auto] gap-x-3">
              <dt>Mended</dt>
              <dd class="fig text-right">{money(offer.sellsMinor, me.currency)}</dd>
              {#if offer.singleMinor !== null}
                <dt>Mended, single material</dt>
                <dd class="fig text-right">{money(offer.singleMinor, me.currency)}</dd>
              {/if}
              <dt>For its parts</dt>
              <dd class="fig text-right">{money(offer.partsMinor, me.currency)}</dd>
              <dt class="text-quiet">Freight and selling</dt>
              <dd class="fig text-right text-quiet">
                {money(offer.freightMinor + offer.sellingMinor, me.currency)}
              </dd>
            </dl>
          </section>
        </div>
        <h2 class="mt-4">Tested in this order, and when to stop</h2>
        <StageLine stages={offer.stages} sellsMinor={offer.sellsMinor} />
        <OfferStages {offer} />
        {#if offer.state === 'open'}<div class="mt-3">
            <Button kind="quiet" onclick={() => (editing = true)}>Change the sheet…</Button>
          </div>{/if}
      {/if}
    </div>
    <aside class="border-line bg-side px-5 py-4 max-lg:border-t lg:border-l">
      <h2>Pay at most</h2>
      <p class="mt-1">
        <span class={['fig text-xl font-bold', offer.mostMinor < 0 && 'text-out']}
          >{money(offer.mostMinor, me.currency)}</span
        >
      </p>
      <p class="text-sm">
        {#if offer.mostMinor < 0}It costs more than it brings: not for nothing.
        {:else}to earn {money(offer.marginMinor, me.currency)} on the average, and anything at all in
          <span class="fig">{Math.floor(10 * offer.winsMost)}</span> of 10.{/if}
        {#if offer.earnsAskedMinor !== null && offer.askedMinor !== null && offer.askedMinor > offer.mostMinor}
          At the {money(offer.askedMinor, me.currency)} asked it {offer.earnsAskedMinor < 0
            ? 'loses'
            : 'earns'}
          {money(Math.abs(offer.earnsAskedMinor), me.currency)} on the average, and makes money in
          <span class="fig">{Math.floor(10 * (offer.winsAsked ?? 0))}</span> of 10.
        {/if}
      </p>
      <dl class="mt-3 grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 text-sm">
        {#each offer.ends as end (end.end)}
          <dt>Ends {end.end}</dt>
          <dd class="text-right"><span class="fig">{percent(end.probability)}</span> of 100</dd>
        {/each}
      </dl>
      {#if offer.state === 'open'}
        {#if guess && guess.ifSureMinor > offer.mostMinor}
          <h2 class="mt-4">Left to guess</h2>
          <p class="text-sm">
            “{guess.name}” decides most: a film of it, sent by the seller, would raise the bid to
            <span class="fig">{money(guess.ifSureMinor, me.currency)}</span>.
          </p>
        {/if}
        <OfferDecision {offer} {keep} />
      {:else}
        <h2 class="mt-4">How it stands</h2>
        <p class={['mt-1 text-sm', offer.stopNow && 'border-l-4 border-out bg-out-wash px-3 py-2 text-out']}>
          {offer.stopNow ? '✕ ' : ''}{offer.stands}
        </p>
        {#if offer.boughtMinor !== null}
          <dl class="mt-2 grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 text-sm">
            <dt>Paid</dt>
            <dd class="fig text-right">{money(offer.boughtMinor, me.currency)}</dd>
            <dt>Parts used</dt>
            <dd class="fig text-right">{money(offer.sold.partsMinor, me.currency)}</dd>
            <dt>Hands</dt>
            <dd class="text-right">
              <span class="fig">{minutes(offer.sold.handsMinutes)}</span> <span class="text-quiet">min</span>
            </dd>
            {#if offer.sold.priceMinor !== null}
              <dt>Sold for</dt>
              <dd class="fig text-right">{money(offer.sold.priceMinor, me.currency)}</dd>
              <dt class="font-semibold">Made</dt>
              <dd class="fig text-right font-semibold">{money(offer.sold.madeMinor ?? 0, me.currency)}</dd>
              {#if offer.sold.perHourMinor !== null}
                <dt>an hour of hands</dt>
                <dd class="fig text-right">{money(offer.sold.perHourMinor, me.currency)}</dd>
              {/if}
            {/if}
          </dl>
        {/if}
      {/if}
      {#if offer.maySell && offer.tag}<Sell tag={offer.tag} />{/if}
    </aside>
  </main>
{:else if query.isError}
  <main class="p-8"><p role="alert" class="text-out">✕ {query.error.message}</p></main>
{:else}
  <p class="p-8 text-quiet" role="status">Reckoning…</p>
{/if}
