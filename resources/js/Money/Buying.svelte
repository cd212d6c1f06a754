<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { offersQuery } from '@/api/queries';
  import { here } from '@/api/session.svelte';
  import { p } from '@/router';
  import { money } from '@/ui/format';
  import LinkButton from '@/ui/LinkButton.svelte';
  import { rowKeys } from '@/ui/rows';
  import Tag from '@/ui/Tag.svelte';
  import LedgerPage from './LedgerPage.svelte';

  const me = here();
  const offers = createQuery(() => offersQuery());
  const groups = $derived([
    { state: 'open', name: 'On offer' },
    { state: 'bought', name: 'Bought' },
    { state: 'let-go', name: 'Let go' },
  ]);
  const all = $derived(offers.data?.offers ?? []);
  $effect(() => rowKeys(() => all.map((offer) => String(offer.id))));
</script>

<LedgerPage title="Buying" query={offers} waiting="Looking what is on offer…">
  {#snippet heading()}<h1>Broken machines on offer</h1>
    <LinkButton kind="main" href={p('/buying/:id', { params: { id: 'new' } })}
      >A machine is on offer…</LinkButton
    >{/snippet}
  {#if all.length === 0}
    <p class="mt-4 text-quiet">
      Machines somebody offers stand here, each with the most to pay for it and when to stop. Begin with what
      the seller says.
    </p>
  {/if}
  {#each groups as group (group.state)}
    {@const of = all.filter((offer) => offer.state === group.state)}
    {#if of.length > 0}
      <h2 class="mt-5">{group.name} <span class="fig font-normal text-quiet">{of.length}</span></h2>
      <ul class="mt-1 border-t border-line">
        {#each of as offer (offer.id)}
          <li class="rule-below">
            <a
              href={p('/buying/:id', { params: { id: String(offer.id) } })}
              data-line={String(offer.id)}
              class="grid min-h-11 items-center gap-x-4 py-1.5 hover:bg-wash focus-visible:bg-wash md:grid-cols-[9rem_minmax(0,1fr)_minmax(0,1.2fr)_9rem]"
            >
              <span>
                {#if offer.tag}<Tag tag={offer.tag} />{:else}<span class="text-quiet">no tag yet</span>{/if}
              </span>
              <span class="min-w-0"
                ><span class="font-semibold">{offer.familyName}</span>
                <span class="text-quiet">{offer.seller}</span>
                <span class="block truncate text-sm text-quiet">“{offer.says}”</span></span
              >
              <span class={['min-w-0 text-sm', offer.stopNow && 'font-semibold text-out']}
                >{offer.stopNow ? '✕ ' : ''}{offer.stands}</span
              >
              <span class="text-right text-sm"
                ><span class="fig block">{money(offer.boughtMinor ?? offer.mostMinor, me.currency)}</span>
                <span class="text-quiet"
                  >{offer.boughtMinor !== null
                    ? `paid; most ${money(offer.mostMinor, me.currency)}`
                    : 'at most'}</span
                ></span
              >
            </a>
          </li>
        {/each}
      </ul>
    {/if}
  {/each}
</LedgerPage>
