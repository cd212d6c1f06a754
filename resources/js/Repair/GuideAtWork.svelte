<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { benchQuery } from '@/api/queries';
  import { keepJob } from '@/api/writes';
  import type { GuideRun, GuideStep, Job } from '@/api/types';
  import Button from '@/ui/Button.svelte';
  import Countdown from '@/ui/Countdown.svelte';
  import Field from '@/ui/Field.svelte';
  import { number } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';
  import GuideSteps from './GuideSteps.svelte';
  import Kit from './Kit.svelte';

  /** A guide in this job: its steps ticked, its clocks, its kit, and the time it takes. */
  let { job, run, promised, may }: { job: Job; run: GuideRun; promised: number; may: boolean } = $props();

  const client = useQueryClient();
  const work = new Work();
  const bench = createQuery(() => benchQuery());
  const current = $derived(run.steps.find((step) => !run.done.includes(step.number))?.number ?? null);
  const timers = $derived((bench.data?.timers ?? []).filter((timer) => timer.run === run.id));
  let ending = $state(false);
  let took = $state('');

  const path = (step: GuideStep) => ({
    params: { path: { job: job.id, run: run.id, step: step.number } },
  });
  const keep = (call: () => Promise<Job>) => work.do(async () => keepJob(client, await call()));
  const tick = (step: GuideStep) =>
    keep(() => told(api.POST('/jobs/{job}/guide-runs/{run}/steps/{step}', path(step))));
  const untick = (step: GuideStep) =>
    keep(() => told(api.DELETE('/jobs/{job}/guide-runs/{run}/steps/{step}', path(step))));
  const start = (step: GuideStep) =>
    keep(() => told(api.POST('/jobs/{job}/guide-runs/{run}/steps/{step}/timer', path(step))));
  const end = (givenUp: boolean) =>
    keep(() =>
      told(
        api.POST('/jobs/{job}/guide-runs/{run}/end', {
          params: { path: { job: job.id, run: run.id } },
          body: { givenUp, minutes: number(took) },
        }),
      ),
    );
  const last = $derived(run.steps.filter((step) => run.done.includes(step.number)).at(-1));
</script>

<section aria-label="Guide: {run.name}">
  <h2>Guide: {run.name}</h2>
  <p class="text-sm text-quiet">
    {#if run.school}{run.school} ·{/if} about <span class="fig">{Math.round(run.estimate)}</span> min for {run.by},
    <span class="fig">{Math.round(run.minutes)}</span> so far
  </p>
  {#if run.done.length === 0}
    <p class="mt-1 text-sm">{run.state}</p>
    <p class="mt-0.5 text-sm text-quiet">Tools: {run.tools.join(', ') || 'none'}</p>
  {/if}
  <Kit {job} {run} {promised} {may} />
  <div class="mt-2">
    <GuideSteps steps={run.steps} done={run.done} {current}>
      {#snippet tools(step)}
        {@const timer = timers.find((one) => one.step === step.number)}
        {#if timer}
          <p class="mt-1 font-semibold">
            <Countdown until={timer.ringsAt} atMost={timer.atMost} />
            {timer.name}
          </p>
        {/if}
        {#if may && step.number === current}
          <div class="mt-1.5 flex flex-wrap gap-2">
            {#if step.timer && !timer}<Button busy={work.busy} onclick={() => start(step)}
                >Start {step.timer}</Button
              >{/if}
            <Button kind="main" busy={work.busy} label="Done: step {step.number}" onclick={() => tick(step)}
              >Done</Button
            >
          </div>
        {/if}
      {/snippet}
    </GuideSteps>
  </div>
  {#if work.refusal}<div class="mt-2"><Problem message={work.refusal.message} /></div>{/if}
  {#if may}
    <div class="mt-2 flex flex-wrap items-end gap-2">
      {#if current === null}
        <div class="w-36">
          <Field label="Minutes of hands" bind:value={took} numeric hint="empty: as measured" />
        </div>
        <Button kind="main" busy={work.busy} onclick={() => end(false)}>Guide done</Button>
      {:else}
        {#if last}<Button kind="quiet" busy={work.busy} onclick={() => last && untick(last)}
            >Step {last.number} not done after all</Button
          >{/if}
        {#if ending}
          <Button busy={work.busy} onclick={() => end(true)}>Stop here</Button>
          <Button kind="quiet" onclick={() => (ending = false)}>Go on</Button>
        {:else}
          <Button kind="quiet" onclick={() => (ending = true)}>Stop the guide…</Button>
        {/if}
      {/if}
    </div>
  {/if}
</section>
