<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { jobQuery, trialsQuery } from '@/api/queries';
  import { keepJob, wrote } from '@/api/writes';
  import type { Trials } from '@/api/types';
  import { p, route } from '@/router';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import Problem from '@/ui/Problem.svelte';
  import Tag from '@/ui/Tag.svelte';
  import { Work } from '@/ui/work.svelte';
  import NewTrial from './NewTrial.svelte';
  import TrialPlan from './TrialPlan.svelte';
  import TrialTable from './TrialTable.svelte';

  const client = useQueryClient();
  const me = here();
  const work = new Work();
  const id = $derived(Number(route.params.id));
  const job = createQuery(() => jobQuery(id));
  const query = createQuery(() => trialsQuery(id));
  const trials = $derived(query.data);
  const may = $derived(me.person.worksAtTheBench && job.data?.finishedAt === null);

  /** What the planned prints set, to be made one after the other. */
  let planned = $state<Record<string, string>[]>([]);

  function keep(now: Trials): void {
    wrote(client, 'trial', ['trials', id], now);
  }

  const withdraw = (trial: number) =>
    work.do(async () =>
      keep(await told(api.DELETE('/jobs/{job}/trials/{trial}', { params: { path: { job: id, trial } } }))),
    );

  const conclude = () =>
    work.do(async () => {
      keepJob(
        client,
        await told(api.POST('/jobs/{job}/trials/conclusion', { params: { path: { job: id } } })),
      );
      wrote(client, 'trial');
    });

  const verdicts = { ok: 'text-well', watch: 'text-waiting', out: 'text-out' } as const;
  const marks = { ok: '●', watch: '▢', out: '✕' } as const;
</script>

<svelte:head><title>Trial prints · Odd Bench</title></svelte:head>

<main class="px-4 py-4 md:px-5">
  {#if query.isError}<Problem message={query.error.message} />{/if}
  {#if trials && job.data}
    <header class="flex flex-wrap items-center gap-3">
      <h1 class="flex flex-wrap items-center gap-3">
        <a href={p('/jobs/:id', { params: { id: String(id) } })} title="Back to the job"
          ><Tag tag={job.data.machine.tag} large red={job.data.redTag !== null} /></a
        >Trial prints
      </h1>
      <a class="text-sm underline" href={p('/jobs/:id', { params: { id: String(id) } })}>Back to Find</a>
      {#if trials.trials.length > 0}
        <a class="text-sm underline" href="/files/jobs/{id}/trials.csv" download>Take the table along (CSV)</a
        >
      {/if}
    </header>
    <div class="mt-3 grid gap-6 lg:grid-cols-[minmax(0,1fr)_330px]">
      <section class="min-w-0">
        <TrialTable {trials} {may} busy={work.busy} {withdraw} />
        {#if may}<NewTrial job={id} {trials} {keep} bind:planned />{/if}
      </section>
      <aside class="content-start bg-side p-4">
        <h2>What they say</h2>
        <p class={['mt-1 font-semibold', verdicts[trials.verdict]]}>
          <span aria-hidden="true">{marks[trials.verdict]}</span>
          {trials.because}
        </p>
        {#if trials.effects.length > 0}
          <table class="mt-2 w-full text-sm">
            <thead class="text-left text-quiet">
              <tr
                ><th class="font-normal">setting</th><th class="text-right font-normal">rating moves by</th
                ></tr
              >
            </thead>
            <tbody>
              {#each trials.effects as effect (effect.setting)}
                <tr class="rule-below">
                  <td class="py-1"
                    ><strong class="break-words">{effect.setting}</strong>
                    <span class="text-quiet"
                      ><span class="fig">{effect.from ?? '–'}</span> →
                      <span class="fig">{effect.to ?? '–'}</span></span
                    ></td
                  >
                  <td class="text-right font-mono"
                    >{effect.effect > 0 ? '+' : ''}{effect.effect.toFixed(1).replace('-', '−')}</td
                  >
                </tr>
              {/each}
              {#each trials.interactions as both (both.setting)}
                <tr class="rule-below text-quiet">
                  <td class="py-1">{both.setting} together</td>
                  <td class="text-right font-mono"
                    >{both.effect > 0 ? '+' : ''}{both.effect.toFixed(1).replace('-', '−')}</td
                  >
                </tr>
              {/each}
            </tbody>
          </table>
        {/if}
        {#if work.refusal}<div class="mt-2"><Problem message={work.refusal.message} /></div>{/if}
        {#if trials.concluded !== null}
          <p class="mt-3 text-sm text-well">
            ✓ In the record as a finding: {trials.concluded
              ? 'one setting changes it for the better'
              : 'no setting changes it'}.
          </p>
        {:else if may && trials.verdict !== 'watch'}
          <div class="mt-3">
            <Button kind="main" busy={work.busy} onclick={conclude}
              >{trials.verdict === 'ok'
                ? 'Put it down as a finding'
                : 'Put down: no setting changes it'}</Button
            >
          </div>
        {/if}
        {#if may}<TrialPlan job={id} bind:planned />{/if}
      </aside>
    </div>
  {:else if !query.isError}
    <p class="text-quiet" role="status">Fetching the trials…</p>
  {/if}
</main>
