<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { ordersQuery } from '@/api/queries';
  import { wrote } from '@/api/writes';
  import type { Orders } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import { day, money } from '@/ui/format';
  import OpenOrder from './OpenOrder.svelte';
  import Proposal from './Proposal.svelte';
  import ShelfPlaces from './ShelfPlaces.svelte';

  const me = here();
  const client = useQueryClient();
  const orders = createQuery(() => ordersQuery());
  const keep = (all: Orders): void => {
    wrote(client, 'stock', ['orders'], all);
  };
</script>

<svelte:head><title>Orders · Odd Bench</title></svelte:head>

{#if orders.data}
  <main class="grid lg:min-h-[calc(100vh-7.6rem)] lg:grid-cols-[minmax(0,1fr)_390px]">
    <div class="min-w-0 px-4 py-3 md:px-5">
      <ShelfPlaces />
      <h1 class="mt-2">What to order</h1>
      {#each orders.data.proposals as proposal (proposal.supplier)}
        <Proposal {proposal} may={me.person.meetsOwners} {keep} />
      {:else}
        <p class="mt-3 text-quiet">Nothing: everything that is bought somewhere is over its reorder point.</p>
      {/each}
      {#if orders.data.unsupplied > 0}
        <p class="mt-4 text-sm text-quiet">
          <span class="fig">{orders.data.unsupplied}</span>
          {orders.data.unsupplied === 1 ? 'part is' : 'parts are'} bought nowhere yet, so nothing is said of
          {orders.data.unsupplied === 1 ? 'it' : 'them'}. A part’s own page says where it is bought.
        </p>
      {/if}
    </div>
    <aside class="border-line bg-side px-5 py-4 max-lg:border-t lg:border-l">
      <h2>On its way</h2>
      {#each orders.data.open as order (order.id)}
        <OpenOrder {order} may={me.person.meetsOwners} {keep} />
      {:else}
        <p class="mt-1 text-quiet">Nothing is on order.</p>
      {/each}
      {#if orders.data.closed.length > 0}
        <h2 class="mt-6">Lately</h2>
        <ul class="mt-1 text-sm">
          {#each orders.data.closed as order (order.id)}
            <li class="rule-below py-1.5">
              <span class="fig">{order.id}</span>
              {order.supplier}
              <span class="text-quiet"
                >· {day(order.sentAt, me.zone)} · {money(order.totalMinor, me.currency)}{order.closedBecause
                  ? ` · closed: ${order.closedBecause}`
                  : ''}</span
              >
            </li>
          {/each}
        </ul>
      {/if}
    </aside>
  </main>
{:else if orders.isError}
  <main class="p-8"><p role="alert" class="text-out">✕ {orders.error.message}</p></main>
{:else}
  <p class="p-8 text-quiet" role="status">Working out what to order…</p>
{/if}
