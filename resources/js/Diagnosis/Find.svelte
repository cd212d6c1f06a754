<script lang="ts">
  import { createQuery, keepPreviousData, useQueryClient } from '@tanstack/svelte-query';
  import { untrack, type Snippet } from 'svelte';
  import { api, told } from '@/api/client';
  import { later } from '@/api/later';
  import { diagnosisQuery, type School } from '@/api/queries';
  import { keepFind } from '@/api/writes';
  import type { Find as FindAnswer, Job } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';
  import ConfirmBar from './ConfirmBar.svelte';
  import DoNext from './DoNext.svelte';
  import FindingList from './FindingList.svelte';
  import Superseded from './Superseded.svelte';
  import PrintedFrom from './PrintedFrom.svelte';
  import Suspects from './Suspects.svelte';
  import TrialsLink from './TrialsLink.svelte';

  let { job, rail }: { job: Job; rail: Snippet } = $props();

  // the picture comes after what is to be done
  const chart = later(() => import('./BeliefChart.svelte'))();

  const client = useQueryClient();
  const me = here();
  const work = new Work();
  let school = $state<School>(untrack(() => me.session?.school ?? 'measure-first'));
  let picked = $state<string[]>([]);

  const diagnosis = createQuery(() => ({
    ...diagnosisQuery(job, school),
    placeholderData: keepPreviousData,
  }));
  const may = $derived(me.person.worksAtTheBench && !job.finishedAt);
  const path = $derived({ params: { path: { job: job.id } } });

  const keep = (find: FindAnswer): void => keepFind(client, find, school);

  const record = (findings: Record<string, boolean>, checks: string[] = []) =>
    work.do(async () =>
      keep(await told(api.POST('/jobs/{job}/findings', { ...path, body: { findings, checks, school } }))),
    );

  const measure = (check: string, value: number) =>
    work.do(async () =>
      keep(await told(api.POST('/jobs/{job}/readings', { ...path, body: { check, value, school } }))),
    );

  const withdraw = (finding: number) =>
    work.do(async () =>
      keep(
        await told(
          api.DELETE('/jobs/{job}/findings/{finding}', {
            params: { path: { job: job.id, finding }, query: { school } },
          }),
        ),
      ),
    );

  const cannotTell = (check: string) =>
    work.do(async () =>
      keep(await told(api.POST('/jobs/{job}/hidden-checks', { ...path, body: { check, school } }))),
    );
</script>

<div
  class="grid gap-x-6 gap-y-5 md:grid-cols-[minmax(0,5fr)_minmax(0,9fr)] lg:mt-3 lg:content-start lg:grid-cols-[minmax(0,5fr)_minmax(0,10fr)]"
>
  <section aria-labelledby="what-it-does">
    <h2 id="what-it-does" class="sr-only">What it does</h2>
    <FindingList {job} {may} busy={work.busy} likely={diagnosis.data?.likely ?? []} {record} {withdraw} />
    <PrintedFrom {job} {may} />
    {#if work.refusal}<div class="mt-2"><Problem message={work.refusal.message} /></div>{/if}
  </section>
  <section aria-labelledby="what-it-could-be" class="min-w-0">
    <h2 id="what-it-could-be">
      What it could be <span class="text-sm font-normal text-quiet"
        >· the black line is its everyday rate here</span
      >
    </h2>
    {#if diagnosis.data}
      <Suspects {job} diagnosis={diagnosis.data} {may} bind:picked />
    {:else if diagnosis.isError}
      <div class="mt-2"><Problem message={diagnosis.error.message} /></div>
    {:else}
      <p class="mt-2 text-quiet" role="status">Working it out…</p>
    {/if}
    <ConfirmBar {job} {may} found={work} bind:picked />
    {#if diagnosis.data}
      {#await chart then { default: BeliefChart }}<BeliefChart diagnosis={diagnosis.data} />{/await}
    {/if}
    <Superseded {job} />
    <TrialsLink {job} />
  </section>
</div>
<aside
  class="content-start gap-5 bg-side max-lg:contents lg:col-start-2 lg:row-span-2 lg:row-start-1 lg:grid lg:p-4"
>
  <div class="max-lg:order-first max-lg:bg-side max-lg:p-4">
    {#if diagnosis.data}
      <DoNext
        {job}
        diagnosis={diagnosis.data}
        {may}
        busy={work.busy}
        bind:school
        {record}
        {measure}
        {cannotTell}
        bind:picked
      />
    {/if}
  </div>
  <div class="max-lg:order-last max-lg:bg-side max-lg:p-4">{@render rail()}</div>
</aside>
