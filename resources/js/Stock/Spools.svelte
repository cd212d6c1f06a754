<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { spoolsQuery } from '@/api/queries';
  import { wrote } from '@/api/writes';
  import type { Spool, Spools } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import { day } from '@/ui/format';
  import NewSpool from './NewSpool.svelte';
  import OneSpool from './OneSpool.svelte';
  import ShelfPlaces from './ShelfPlaces.svelte';

  /** Spools: what is left by weight, how long they have stood open, whether they are old or damp. */
  const me = here();
  const client = useQueryClient();
  const spools = createQuery(() => spoolsQuery());
  let opened = $state('');
  let adding = $state(false);

  const keep = (all: Spools): void => {
    wrote(client, 'stock', ['spools'], all);
  };
  const share = (spool: Spool): string => `${Math.max(0, Math.min(100, (100 * spool.leftG) / spool.netG))}%`;
</script>

<svelte:head><title>Spools · Odd Bench</title></svelte:head>

<main class="px-4 py-3 md:px-5">
  <ShelfPlaces />
  <div class="mt-1 flex flex-wrap items-center gap-4">
    <h1>Spools</h1>
    {#if me.person.meetsOwners}<Button onclick={() => (adding = true)}>New spool</Button>{/if}
  </div>
  <ul class="mt-2 border-t border-line">
    {#each spools.data?.spools ?? [] as spool (spool.code)}
      <li class={['rule-below py-2', spool.ended && 'text-quiet']}>
        <div class="grid items-center gap-x-5 gap-y-1 md:grid-cols-[4rem_minmax(0,1fr)_15rem_auto]">
          <span class="fig font-semibold">{spool.code}</span>
          <span class="min-w-0">
            <span class="font-semibold">{spool.material}{spool.colour ? `, ${spool.colour}` : ''}</span>
            <span class="text-sm text-quiet"
              >{spool.lot ? `lot ${spool.lot} · ` : ''}{spool.ended
                ? 'done with'
                : spool.openedAt
                  ? `open since ${day(spool.openedAt, me.zone)}`
                  : 'sealed'}{spool.driedAt ? ` · dried ${day(spool.driedAt, me.zone)}` : ''}</span
            >
            {#if !spool.ended && (spool.old || spool.damp)}<span class="block text-sm text-waiting"
                >▢ {[spool.old ? 'old' : '', spool.damp ? 'damp by now' : ''].filter(Boolean).join(', ')}: {spool.because.join(
                  '; ',
                )}</span
              >{/if}
          </span>
          <span class="flex items-center gap-2">
            <span class="relative block h-3 w-24 bg-line" aria-hidden="true"
              ><span class="absolute inset-y-0 left-0 bg-action" style="width: {share(spool)}"></span></span
            >
            <span class="text-sm whitespace-nowrap"
              ><span class="fig">{Math.round(spool.leftG)}</span> g
              <span class="text-quiet">· <span class="fig">{Math.round(spool.leftM)}</span> m left</span
              ></span
            >
          </span>
          <Button
            kind="quiet"
            label="{opened === spool.code ? 'Close' : 'Open'} spool {spool.code}"
            onclick={() => {
              opened = opened === spool.code ? '' : spool.code;
            }}>{opened === spool.code ? 'Less' : 'More'}</Button
          >
        </div>
        {#if opened === spool.code}<OneSpool {spool} {keep} />{/if}
      </li>
    {:else}
      <li class="py-3 text-quiet">
        {spools.isPending
          ? 'Fetching the spools…'
          : 'No spool is known. Make the first one known: its weight says what is left, and Find knows whether it was damp.'}
      </li>
    {/each}
  </ul>
</main>
<NewSpool bind:open={adding} materials={spools.data?.materials ?? []} {keep} />
