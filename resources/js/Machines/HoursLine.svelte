<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { here } from '@/api/session.svelte';
  import type { Passport } from '@/api/types';
  import { wrote } from '@/api/writes';
  import { day, hours } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';
  import FromPrinter from './FromPrinter.svelte';
  import NoteCounter from './NoteCounter.svelte';

  /** What the machine has run by now, how sure that is, and the readings it comes from. */
  let { passport }: { passport: Passport } = $props();

  const client = useQueryClient();
  const me = here();
  const work = new Work();
  const it = $derived(passport.hours);
  const tag = $derived(passport.machine.tag);
  const sources = {
    booking: 'at Book in',
    typed: 'typed',
    table: 'from a table',
    printer: 'from its printer',
  } as const;

  const changed = () => wrote(client, 'machine');
  const withdraw = (counter: number) =>
    work.do(async () => {
      await told(api.DELETE('/machines/{tag}/counters/{counter}', { params: { path: { tag, counter } } }));
      changed();
    });
</script>

<details class="mt-3 max-w-2xl">
  <summary class="min-h-9 cursor-pointer">
    <span class="text-sm text-quiet">Hours</span>
    {#if it.hours === null}
      not known
    {:else}
      {#if it.about}about{/if}
      <span class="fig">{hours(it.hours)}</span> h
      {#if it.about && it.low !== null && it.high !== null}<span class="text-sm text-quiet"
          >(<span class="fig">{hours(it.low)}</span> to <span class="fig">{hours(it.high)}</span>)</span
        >{/if}
    {/if}
    {#if it.perWeek !== null}<span class="ml-3 text-sm text-quiet"
        ><span class="fig">{Math.round(it.perWeek)}</span> h a week</span
      >{/if}
  </summary>
  <div class="border-l-4 border-wash pl-4">
    <p class="mt-1 text-sm text-quiet">
      {it.because}{it.about ? ' Nine in ten times it is in that range.' : ''}
    </p>
    {#if me.person.meetsOwners}
      <div class="mt-2 flex flex-wrap items-start gap-3">
        <NoteCounter {tag} onnoted={changed} />
        {#if passport.hasPrinter}<FromPrinter {tag} onnoted={changed} />{/if}
      </div>
    {/if}
    {#if work.refusal}<Problem message={work.refusal.message} />{/if}
    <ul class="mt-2" aria-label="Readings of its counter">
      {#each it.counters as counter (counter.id)}
        <li class="rule-below grid grid-cols-[6rem_minmax(0,1fr)_auto] items-baseline gap-x-3 py-1">
          <span class="text-right"><span class="fig">{hours(counter.hours)}</span> h</span>
          <span class="text-sm text-quiet"
            >{day(counter.at, me.zone)}, {sources[counter.source]}{counter.by
              ? `, ${counter.by}`
              : ''}{counter.beganAnew ? '; it began anew' : ''}</span
          >
          {#if me.person.meetsOwners}<button
              class="min-h-9 px-1 text-sm text-quiet underline"
              aria-label="Withdraw the reading of {hours(counter.hours)} h"
              onclick={() => withdraw(counter.id)}>withdraw</button
            >{/if}
        </li>
      {/each}
    </ul>
  </div>
</details>
