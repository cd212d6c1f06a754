<script lang="ts">
  import type { Passport } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import { day, hours as showHours } from '@/ui/format';
  import Tag from '@/ui/Tag.svelte';

  /** What is known of the machine that comes in; before one is chosen, what comes before power. */
  let { known }: { known: Passport | undefined } = $props();

  const me = here();
</script>

<aside class="border-line bg-side px-5 py-4 max-lg:border-t lg:border-l">
  {#if known}
    <h2>Known here</h2>
    <p class="mt-2 flex flex-wrap items-center gap-2">
      <Tag tag={known.machine.tag} red={known.redTag !== null} /><strong>{known.machine.familyName}</strong>
    </p>
    <p class="mt-1 text-quiet">
      {known.machine.owner ?? (known.machine.heldAs === 'farm' ? 'Own farm' : 'Bought for resale')}
    </p>
    <p class="mt-1">
      {#if known.hours.counters[0]}
        Last counter <span class="fig">{showHours(known.hours.counters[0].hours)}</span>
        <span class="text-quiet">h, {day(known.hours.counters[0].at, me.zone)}</span>
      {:else}
        <span class="text-quiet">Its counter was never read.</span>
      {/if}
      {#if known.hours.about && known.hours.perWeek !== null}<span class="block text-sm text-quiet"
          >about <span class="fig">{showHours(known.hours.hours)}</span> h by now</span
        >{/if}
    </p>
    {#if known.machine.openJob !== null}
      <p class="mt-3 bg-waiting-wash px-3 py-2 text-waiting">
        ▢ On the bench already.
        <a class="font-semibold underline" href="/jobs/{known.machine.openJob}">Open its job</a>
      </p>
    {/if}
    <h2 class="mt-4">Last here</h2>
    <ul class="mt-1 grid gap-1.5 text-sm">
      {#each known.jobs.slice(0, 4) as past (past.id)}
        <li>
          <span class="text-quiet">{day(past.openedAt, me.zone)}:</span>
          {past.faults.join(', ') || past.kind}
          {#if past.warrantyUntil && past.faults.length > 0}<span class="block text-well"
              >the repair is stood for until {day(past.warrantyUntil, me.zone)}</span
            >{/if}
        </li>
      {/each}
    </ul>
  {:else}
    <h2>Before power</h2>
    <ul class="mt-2 grid gap-2">
      <li>Look it over for damage from the way here.</li>
      <li>Tick what came in the box: what is ticked goes out again with it.</li>
      <li>Any smoke, smell, spark, shock or browning: leave it unplugged and say so at Make safe.</li>
    </ul>
  {/if}
</aside>
