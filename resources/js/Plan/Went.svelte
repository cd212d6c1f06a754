<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { here } from '@/api/session.svelte';
  import { p } from '@/router';
  import Button from '@/ui/Button.svelte';
  import { day, dayIn, money } from '@/ui/format';
  import BenchPlaces from './BenchPlaces.svelte';
  import { long } from './ruler';

  const me = here();
  let back = $state(0);
  const from = $derived(
    back === 0 ? undefined : dayIn(me.zone, new Date(Date.now() - (6 + 7 * back) * 86_400_000)),
  );
  const went = createQuery(() => ({
    queryKey: ['plan-went', from ?? 'now'],
    queryFn: () => told(api.GET('/plan/went', { params: { query: from ? { from } : {} } })),
  }));
  const most = $derived(
    Math.max(1, ...(went.data?.stations ?? []).flatMap((one) => [one.took, one.reckoned])),
  );
  const one = (n: number): string => n.toFixed(1);
</script>

<svelte:head><title>How it went · Odd Bench</title></svelte:head>

<main class="min-w-0 px-4 py-2 md:px-5 lg:min-h-[calc(100vh-7.6rem)]">
  <h1 class="sr-only">How it went</h1>
  <BenchPlaces open={p('/went')} />
  {#if went.isError}
    <p role="alert" class="mt-4 text-out">✕ {went.error.message}</p>
  {:else if went.data}
    {@const it = went.data}
    <div class="mt-2 flex flex-wrap items-center gap-3">
      <Button onclick={() => (back += 1)}>Week before</Button>
      <p class="font-semibold">
        {day(`${it.from}T12:00:00Z`, me.zone)} to {back === 0 ? 'now' : day(`${it.to}T00:00:00Z`, me.zone)}
      </p>
      {#if back > 0}<Button onclick={() => (back -= 1)}>Week after</Button>{/if}
    </div>
    {#if it.dearest}<p
        class="mt-3 border-l-4 border-waiting bg-waiting-wash px-3 py-2 font-semibold text-waiting"
      >
        ▢ {it.dearest}
      </p>{/if}
    <div class="mt-3 grid gap-x-10 gap-y-5 lg:grid-cols-2">
      <section aria-labelledby="stations">
        <h2 id="stations" class="rule-below pb-1">Hands, against what was reckoned</h2>
        {#each it.stations.filter((one) => one.spent > 0 || one.jobs > 0) as row (row.station)}
          <div class="rule-below grid grid-cols-[84px_minmax(0,1fr)] gap-x-3 py-1.5">
            <span class="font-semibold">{row.name}</span>
            <div>
              {#if row.jobs > 0}
                {#each [['took', row.took, 'bg-action'], ['reckoned', row.reckoned, 'bg-steel-worn']] as [label, minutes, look] (label)}
                  <div class="grid grid-cols-[minmax(0,1fr)_130px] items-center gap-2 text-sm">
                    <span class={['h-2.5', look]} style="width: {(100 * Number(minutes)) / most}%"></span>
                    <span>{label} <span class="fig">{long(Number(minutes))}</span></span>
                  </div>
                {/each}
              {/if}
              <p class="text-sm text-quiet">
                {long(row.spent)} of hands in these days{row.jobs > 0
                  ? `; ${row.jobs} ${row.jobs === 1 ? 'job' : 'jobs'} left the station`
                  : '; no job that had been reckoned left the station'}
              </p>
            </div>
          </div>
        {:else}<p class="mt-1 text-sm text-quiet">No hands were noted in these days.</p>{/each}
      </section>
      <section aria-labelledby="waits">
        <h2 id="waits" class="rule-below pb-1">Waited for</h2>
        <table class="w-full text-sm">
          <thead
            ><tr class="text-left text-quiet"
              ><th class="py-1 font-normal">what</th><th class="text-right font-normal">machines</th><th
                class="text-right font-normal">days</th
              >{#if me.person.seesMoney}<th class="text-right font-normal">cost</th>{/if}</tr
            ></thead
          >
          <tbody>
            {#each it.waits as wait (wait.cause)}
              <tr class="rule-below"
                ><td class="py-1.5">{wait.name}</td><td class="fig text-right">{wait.jobs}</td><td
                  class="fig text-right">{one(wait.days)}</td
                >{#if me.person.seesMoney}<td class="fig text-right"
                    >{wait.costMinor === null ? '' : money(wait.costMinor, me.currency)}</td
                  >{/if}</tr
              >
            {:else}<tr><td class="py-1.5 text-quiet" colspan="4">Nothing waited.</td></tr>{/each}
          </tbody>
        </table>
        <h2 class="rule-below mt-5 pb-1">Promises</h2>
        <p class="mt-1">
          {it.promised === 0 ? 'None fell into these days.' : `${it.kept} of ${it.promised} kept.`}
        </p>
        <h2 class="rule-below mt-5 pb-1">Machines in the shop</h2>
        <p class="mt-1">
          <span class="fig">{one(it.work)}</span> on the average =
          <span class="fig">{it.rate.toFixed(2)}</span>
          a day ×
          <span class="fig">{one(it.time)}</span> days each (Little’s law).
        </p>
        <p class="text-sm text-quiet">
          {it.came} came, {it.left} left{it.left > 0
            ? it.stay < 1
              ? ' within a day on the average'
              : ` after ${one(it.stay)} days on the average`
            : ''}.
        </p>
      </section>
    </div>
  {/if}
</main>
