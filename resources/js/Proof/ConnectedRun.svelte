<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { later } from '@/api/later';
  import { runQuery } from '@/api/queries';
  import { keepJob, wrote } from '@/api/writes';
  import type { Job, ProofRun } from '@/api/types';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import Check from '@/ui/Check.svelte';
  import Field from '@/ui/Field.svelte';
  import { number } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** The same proofs by a printer on the network: what can be run runs by itself, what must be seen is asked. */
  let { job, may }: { job: Job; may: boolean } = $props();

  const curve = later(() => import('./TemperatureCurve.svelte'))();

  const client = useQueryClient();
  const work = new Work();
  const run = createQuery(() => runQuery(job.id));
  const under = $derived(['waiting', 'running', 'asking'].includes(run.data?.state ?? 'none'));
  let opened = $state(false);
  let moved = $state(false);
  let host = $state('');
  let port = $state('');
  let leaveOut = $state<string[]>([]);
  const about = $derived(
    (run.data?.offers ?? [])
      .filter((stage) => !leaveOut.includes(stage.code))
      .reduce((sum, stage) => sum + stage.aboutS, 0),
  );
  const minutes = (seconds: number): string =>
    seconds < 5400 ? `${Math.max(1, Math.round(seconds / 60))} min` : `${(seconds / 3600).toFixed(1)} h`;

  const age = (seconds: number): string =>
    seconds < 90 ? `${seconds.toFixed(0)} s` : `${(seconds / 60).toFixed(0)} min`;

  // what a run has shown is counted by the server: the ladder follows
  const shown = $derived(run.data?.stages.filter((stage) => stage.standing === 'passed').length ?? 0);
  $effect(() => {
    if (shown >= 0) wrote(client, 'run');
  });

  const keep = (answer: ProofRun): void => {
    wrote(client, 'run', ['proof-run', job.id], answer);
  };
  const path = (id: number) => ({ params: { path: { job: job.id, run: id } } });

  const start = () =>
    work.do(async () => {
      const body = { host: host.trim(), port: number(port) ?? 0, leaveOut: leaveOut as 'long'[], moved };
      keep(await told(api.POST('/jobs/{job}/proof-run', { params: { path: { job: job.id } }, body })));
      opened = false;
    });
  const answer = (id: number, words: string) =>
    work.do(async () =>
      keep(
        await told(api.POST('/jobs/{job}/proof-run/{run}/answer', { ...path(id), body: { answer: words } })),
      ),
    );
  const stop = (id: number) =>
    work.do(async () => keep(await told(api.POST('/jobs/{job}/proof-run/{run}/stop', path(id)))));
  const back = (id: number) =>
    work.do(async () =>
      keepJob(client, await told(api.POST('/jobs/{job}/proof-run/{run}/back-to-find', path(id)))),
    );

  function open(): void {
    host = run.data?.host ?? '';
    moved = false;
    port = String(run.data?.port ?? '');
    leaveOut = [];
    opened = true;
  }

  const marks = { passed: '✓', failed: '✕', now: '▸', later: '·' } as const;
  const words = {
    none: '',
    waiting: 'Connecting…',
    running: 'Runs',
    asking: 'Asks you',
    passed: '✓ All of it passed',
    failed: '✕ Failed',
    stopped: 'Stopped',
    lost: '✕ The link was lost',
  } as const;
  const heatWords = {
    cold: '',
    hot: '· it heats',
    cooling: '· switched off: watching it cool down',
    unconfirmed: '· switched off, but not seen to cool: heaters may be on, pull the plug',
    off: '· heaters off, seen to cool',
  } as const;
</script>

<section aria-label="Connected printer">
  <h2 class="rule-below flex flex-wrap items-baseline justify-between gap-2 pb-1.5">
    <span>
      Connected printer
      {#if run.data && run.data.state !== 'none'}<span
          class={[
            'ml-1.5 text-sm font-normal',
            run.data.state === 'failed' || run.data.state === 'lost' ? 'text-out' : 'text-quiet',
          ]}>{words[run.data.state]}</span
        >{/if}
      {#if run.data && heatWords[run.data.heat]}<span
          class={[
            'ml-1.5 text-sm',
            run.data.heat === 'unconfirmed' ? 'font-bold text-red' : 'font-normal text-quiet',
          ]}>{heatWords[run.data.heat]}</span
        >{/if}
    </span>
    {#if may && under && run.data?.id}
      <Button kind="red" busy={work.busy} onclick={() => run.data?.id && stop(run.data.id)}
        >Stop, heaters off</Button
      >
    {/if}
  </h2>
  {#if run.data && run.data.state !== 'none'}
    {#if under && !run.data.alive}
      <p class="mt-2 font-semibold text-out">
        ✕ The runner has not been heard of for a while. Watch the machine; `bin/odd-bench status` says whether
        it runs.
      </p>
    {/if}
    {#if run.data.state === 'asking' && run.data.question}
      <div class="mt-2 border-l-4 border-action bg-white py-2.5 pl-3">
        <p class="font-semibold">{run.data.question}</p>
        {#if may}
          <div class="mt-2 flex flex-wrap gap-2">
            {#each run.data.choices as choice, i (choice)}
              <Button
                kind={i === 0 ? 'main' : 'plain'}
                busy={work.busy}
                onclick={() => run.data?.id && answer(run.data.id, choice)}>{choice}</Button
              >
            {/each}
          </div>
        {/if}
      </div>
    {/if}
    <div class="mt-2 grid gap-x-5 gap-y-2 md:grid-cols-[minmax(0,17rem)_minmax(0,1fr)]">
      <ol aria-label="Stages of the run">
        {#each run.data.stages as stage (stage.code)}
          <li class={['py-0.5 leading-snug', stage.standing === 'later' && 'text-quiet']}>
            <span
              aria-hidden="true"
              class={[
                'inline-block w-5',
                stage.standing === 'passed' && 'text-well',
                stage.standing === 'failed' && 'text-out',
              ]}>{marks[stage.standing]}</span
            ><span class={stage.standing === 'now' ? 'font-bold' : ''}>{stage.name}</span>
            {#if stage.words}<span
                class={['block pl-5 text-sm', stage.standing === 'failed' ? 'text-out' : 'text-quiet']}
                >{stage.words}</span
              >{/if}
          </li>
        {/each}
      </ol>
      <div class="min-w-0">
        {#await curve then { default: TemperatureCurve }}<TemperatureCurve
            samples={run.data.samples}
            mayStray={run.data.mayStrayC}
          />{/await}
        {#if run.data.elapsedS !== null}
          <p class="text-sm text-quiet">
            {under ? 'Runs for' : 'Took'}
            <span class="fig text-ink">{minutes(run.data.elapsedS)}</span>{#if run.data.remainingS !== null},
              about
              <span class="fig text-ink">{minutes(run.data.remainingS)}</span> left{/if}
          </p>
        {/if}
        {#if run.data.hotendC !== null}
          <p class="text-sm text-quiet">
            Last heard: hot end <span class="fig text-ink">{run.data.hotendC.toFixed(1)}</span> °C, bed
            <span class="fig text-ink">{(run.data.bedC ?? 0).toFixed(1)}</span>
            °C{#if under || run.data.heat === 'cooling' || run.data.heat === 'unconfirmed'}, {age(
                run.data.temperatureAgeS ?? 0,
              )} ago{/if}
          </p>
        {/if}
        {#if run.data.said}<p class="mt-1 truncate font-mono text-sm text-quiet" title={run.data.said}>
            {run.data.said}
          </p>{/if}
      </div>
    </div>
    {#if may && run.data.state === 'failed'}
      <div class="mt-2">
        <Button kind="main" busy={work.busy} onclick={() => run.data?.id && back(run.data.id)}
          >Take it back to Find</Button
        >
      </div>
    {/if}
  {/if}
  {#if may && run.data && !under && run.data.heat === 'cooling'}
    <p class="mt-2 text-sm text-quiet">It can run again once its heaters have cooled a little.</p>
  {:else if may && run.data && !under && run.data.heat !== 'unconfirmed'}
    {#if opened}
      <Form class="mt-2" onsend={() => start()}>
        <fieldset class="mb-3">
          <legend class="text-sm font-semibold">Stages, about {minutes(about)}</legend>
          <div class="mt-1 grid gap-x-4 sm:grid-cols-2 xl:grid-cols-3">
            {#each run.data.offers as stage (stage.code)}
              <label class="flex min-h-9 items-center gap-2 text-sm">
                <input
                  type="checkbox"
                  class="size-4.5 accent-action"
                  checked={!leaveOut.includes(stage.code)}
                  disabled={stage.always}
                  onchange={(event) =>
                    (leaveOut = event.currentTarget.checked
                      ? leaveOut.filter((code) => code !== stage.code)
                      : [...leaveOut, stage.code])}
                />
                <span>{stage.name} <span class="text-quiet">{minutes(stage.aboutS)}</span></span>
              </label>
            {/each}
          </div>
        </fieldset>
        <div class="flex flex-wrap items-end gap-2">
          <div class="w-56">
            <Field label="Printer or bridge" bind:value={host} focus error={work.error('host')} />
          </div>
          <div class="w-28"><Field label="Port" bind:value={port} numeric error={work.error('port')} /></div>
          {#if work.error('moved') || moved}<div class="basis-full">
              <Check bind:checked={moved}>The bridge at this address is at this machine now</Check>
              {#if work.error('moved')}<p class="text-sm font-semibold text-out">
                  ✕ {work.error('moved')}
                </p>{/if}
            </div>{/if}
          <Button kind="main" type="submit" busy={work.busy}>Connect and run</Button>
          <Button kind="quiet" onclick={() => (opened = false)}>Not now</Button>
        </div>
      </Form>
    {:else}
      <div class="mt-2">
        <Button onclick={open}
          >{run.data.state === 'none' ? 'Run the proofs on the printer…' : 'Run again…'}</Button
        >
      </div>
    {/if}
  {/if}
  {#if work.refusal && !work.error('host') && !work.error('port') && !work.error('moved')}
    <div class="mt-2"><Problem message={work.refusal.message} /></div>
  {/if}
</section>
