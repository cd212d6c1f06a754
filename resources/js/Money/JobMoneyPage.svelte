<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { jobMoneyQuery, jobQuery } from '@/api/queries';
  import { wrote } from '@/api/writes';
  import type { JobMoney } from '@/api/types';
  import { PromiseOfJob } from '@/Plan';
  import { p, route } from '@/router';
  import Tag from '@/ui/Tag.svelte';
  import ChargePanel from './ChargePanel.svelte';
  import EstimatePanel from './EstimatePanel.svelte';
  import MessagesPanel from './MessagesPanel.svelte';
  import PickupPanel from './PickupPanel.svelte';
  import Sell from './Sell.svelte';
  import WorthPanel from './WorthPanel.svelte';

  const id = $derived(Number((route.params as Record<string, string>)['id']));
  const client = useQueryClient();
  const job = createQuery(() => jobQuery(id));
  const money = createQuery(() => jobMoneyQuery(id));
  const keep = (all: JobMoney): void => wrote(client, 'money', ['job-money', all.job], all);
</script>

<svelte:head><title>Money of {job.data?.machine.tag ?? 'a job'} · Odd Bench</title></svelte:head>

{#if money.data && job.data}
  <main class="grid lg:min-h-[calc(100vh-7.6rem)] lg:grid-cols-[minmax(0,1fr)_390px]">
    <div class="min-w-0 px-4 py-3 md:px-5">
      <p class="text-sm">
        <a class="text-quiet underline" href={p('/jobs/:id', { params: { id: String(id) } })}
          >Back to the job</a
        >
      </p>
      <h1 class="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1">
        <Tag tag={job.data.machine.tag} red={job.data.redTag !== null} />
        {job.data.machine.familyName}
        <span class="text-base font-normal text-quiet"
          >{money.data.owner ?? (money.data.heldAs === 'farm' ? 'Own farm' : 'Bought for resale')}</span
        >
        {#if money.data.offer}<a
            class="text-sm font-normal text-action underline"
            href={p('/buying/:id', { params: { id: String(money.data.offer) } })}
            >the sheet it was bought by</a
          >{/if}
      </h1>
      {#if job.data.finishedAt === null}<div class="mt-4">
          <PromiseOfJob job={id} version={job.data.version} taken={job.data.promisedFor ?? ''} />
        </div>{/if}
      <div class="mt-4"><EstimatePanel money={money.data} {keep} open={job.data.finishedAt === null} /></div>
      <div class="mt-6">
        <ChargePanel
          money={money.data}
          {keep}
          mayBill={job.data.station === 'release' || job.data.finishedAt !== null}
        />
      </div>
      <PickupPanel money={money.data} {keep} />
    </div>
    <aside class="border-line bg-side px-5 py-4 max-lg:border-t lg:border-l">
      <WorthPanel money={money.data} {keep} version={job.data.version} open={job.data.finishedAt === null} />
      {#if money.data.maySell}<Sell tag={job.data.machine.tag} />{/if}
      <p class="mt-4 text-sm">
        <a class="text-action underline" href="{p('/claims')}?tag={job.data.machine.tag}"
          >Claim something of this machine…</a
        >
      </p>
      <div class="mt-6"><MessagesPanel money={money.data} {keep} /></div>
      <section class="mt-6 border-t border-line pt-3" aria-labelledby="own">
        <h2 id="own">For the shop only</h2>
        <p class="mt-1 flex justify-between text-sm">
          <span>It cost the shop so far</span><span class="fig"
            >{(((money.data.bill ?? money.data.charge).ownCostMinor ?? 0) / 100).toFixed(2)}</span
          >
        </p>
        <p class="text-sm text-quiet">
          Hands at what they cost, parts at cost. Never on a paper for its owner.
        </p>
      </section>
    </aside>
  </main>
{:else if money.isError || job.isError}
  <main class="p-8">
    <h1>This cannot be shown</h1>
    <p class="mt-2">{(money.error ?? job.error)?.message}</p>
    <p class="mt-2">
      <a class="font-semibold text-action underline" href={p('/jobs/:id', { params: { id: String(id) } })}
        >Back to the job</a
      >
    </p>
  </main>
{:else}
  <p class="p-8 text-quiet" role="status">Reckoning…</p>
{/if}
