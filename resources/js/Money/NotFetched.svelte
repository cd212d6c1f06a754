<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { notFetchedQuery } from '@/api/queries';
  import { here } from '@/api/session.svelte';
  import { p } from '@/router';
  import { day, money, since } from '@/ui/format';
  import Tag from '@/ui/Tag.svelte';
  import LedgerPage from './LedgerPage.svelte';
  import Letter from './Letter.svelte';

  const me = here();
  const client = useQueryClient();
  const list = createQuery(() => notFetchedQuery());
  const refresh = () => client.invalidateQueries({ queryKey: ['not-fetched'] });
</script>

<LedgerPage title="Not fetched" query={list} waiting="Looking what stands here…">
  {#snippet heading()}<h1>Ready and not fetched</h1>{/snippet}
  {#snippet children(data)}
    {#each data.machines as one (one.job)}
      <article class="mt-3 border-t border-line pt-2" aria-label={one.tag}>
        <div class="grid gap-x-6 gap-y-1 lg:grid-cols-[minmax(0,1fr)_20rem]">
          <div class="min-w-0">
            <p class="flex flex-wrap items-center gap-x-3">
              <a href={p('/jobs/:id/money', { params: { id: String(one.job) } })}><Tag tag={one.tag} /></a>
              <span>{one.familyName}</span>
              <span class="font-semibold">{one.owner ?? ''}</span>
              <span class="text-sm text-quiet">{one.ownerContact ?? ''}</span>
            </p>
            <p class="text-sm text-quiet">{one.because}</p>
            <div class="mt-1 flex flex-wrap gap-x-6">
              {#each one.letters as letter (letter.afterDays)}
                <Letter
                  job={one.job}
                  {letter}
                  due={one.letterDue === letter.afterDays}
                  {refresh}
                  stood={one.stood}
                />
              {/each}
            </div>
          </div>
          <dl class="grid grid-cols-[minmax(0,1fr)_auto] content-start gap-x-3 text-sm">
            <dt>Stands since {day(`${one.readyOn}T12:00:00Z`, 'UTC')}</dt>
            <dd class="text-right"><span class="fig">{one.stood}</span> days</dd>
            <dt>Storage, after {one.freeDays} days</dt>
            <dd class="fig text-right">{money(one.storageMinor, me.currency)}</dd>
            <dt>{one.chargedMinor === null ? 'No bill yet' : 'The job'}</dt>
            <dd class="fig text-right">
              {one.chargedMinor === null ? '–' : money(one.chargedMinor, me.currency)}
            </dd>
            <dt class="font-semibold">Together</dt>
            <dd class="fig text-right font-semibold">{money(one.sumMinor, me.currency)}</dd>
          </dl>
        </div>
      </article>
    {:else}
      <p class="mt-3 text-quiet">
        Nothing stands here. Once an owner is told that a machine is ready, its days are counted and a letter
        is due after 14, 30 and 60 of them.
      </p>
    {/each}
    {#if data.untold.length > 0}
      <h2 class="mt-6">Ready, and the owner does not know yet</h2>
      <ul class="mt-1 border-t border-line">
        {#each data.untold as one (one.job)}
          <li class="rule-below">
            <a
              class="flex min-h-11 flex-wrap items-center gap-x-3 hover:bg-wash"
              href={p('/jobs/:id/money', { params: { id: String(one.job) } })}
              ><Tag tag={one.tag} />
              {one.familyName} <span class="font-semibold">{one.owner ?? ''}</span>
              <span class="text-sm text-quiet">{since(one.since, me.zone)}</span></a
            >
          </li>
        {/each}
      </ul>
    {/if}
    <p class="mt-5 text-sm text-quiet">{data.law}</p>
  {/snippet}
</LedgerPage>
