<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { keepJob } from '@/api/writes';
  import type { Fix, Job, TrayStep } from '@/api/types';
  import Button from '@/ui/Button.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';
  import PartlyBack from './PartlyBack.svelte';

  /** The way back together: last off, first on; each ticked as it goes back, in an order that can be. */
  let { job, fix, may }: { job: Job; fix: Fix; may: boolean } = $props();

  const client = useQueryClient();
  const work = new Work();
  const steps = $derived(
    fix.reassembly.flatMap((number) => fix.steps.find((step) => step.number === number) ?? []),
  );
  const left = $derived(steps.filter((step) => step.standing !== 'back').length);
  const next = $derived(steps.find((step) => step.open || step.standing === 'first'));
  let partly = $state<number | null>(null);

  const path = (step: number) => ({ params: { path: { job: job.id, step } } });

  const tick = (step: TrayStep, finished: boolean) =>
    work.do(async () =>
      keepJob(
        client,
        await told(
          api.POST('/jobs/{job}/teardown-steps/{step}/back', { ...path(step.number), body: { finished } }),
        ),
      ),
    );
  const untick = (step: TrayStep) =>
    work.do(async () =>
      keepJob(client, await told(api.DELETE('/jobs/{job}/teardown-steps/{step}/back', path(step.number)))),
    );
  const withdraw = (step: TrayStep) =>
    work.do(async () =>
      keepJob(client, await told(api.DELETE('/jobs/{job}/teardown-steps/{step}', path(step.number)))),
    );
  const press = (step: TrayStep) =>
    step.standing === 'back'
      ? untick(step)
      : tick(step, step.secondPass === null || step.standing === 'first');
  const holds = (step: TrayStep): string =>
    step.fasteners.map((f) => `${f.count + f.missing} ${f.size}`).join(', ');
</script>

{#if steps.length > 0}
  <h2 class="rule-below mt-3 pb-1.5">
    Back together
    <span class="ml-1 text-sm font-normal text-quiet"
      >last off, first on{left === 0 ? ' · all back' : ` · ${left} to go`}</span
    >
  </h2>
  <ol aria-label="Back together">
    {#each steps as step (step.number)}
      {@const back = step.standing === 'back'}
      <li class={['rule-below py-1.5', step === next && may && 'bg-wash/60']}>
        <div class="flex items-center gap-3">
          <span class="fig w-6 shrink-0 text-right text-quiet">{step.number}</span>
          <div class={['min-w-0 flex-1 leading-snug', back && 'text-quiet']}>
            <p class="break-words">
              <span class={step === next ? 'font-bold' : ''}>{step.off}</span>
              {#if step.fasteners.length > 0}<span class="fig">{holds(step)}</span>{/if}
              {#if step.sockets.length > 0}<span
                  >→ {step.sockets.length === 1 ? 'socket' : 'sockets'}
                  {#each step.sockets as socket, i (socket)}{i > 0 ? ', ' : ''}<a
                      class="fig font-bold underline decoration-line"
                      title="Where it sits on the board"
                      href="/families/{job.machine.family}/papers?place={encodeURIComponent(socket)}"
                      >{socket}</a
                    >{/each}</span
                >{/if}
              {#if step.cell !== null}<span class="text-sm text-quiet">cell {step.cell}</span>{/if}
            </p>
            {#if !back}
              {#if step.undoFirst}<p class="text-sm">First {step.undoFirst}.</p>{/if}
              {#if step.wayRound}<p class="text-sm"><span aria-hidden="true">↻</span> {step.wayRound}</p>{/if}
              {#if step.standing === 'first'}
                <p class="text-sm font-semibold">Now {step.secondPass}.</p>
              {:else if step.firstPass}
                <p class="text-sm">{step.firstPass}{step.secondPass ? `; then ${step.secondPass}` : ''}.</p>
              {:else if step.secondPass}<p class="text-sm">{step.secondPass}.</p>{/if}
              {#if step.check}<p class="text-sm">Check: {step.check}.</p>{/if}
              {#if step.caution}<p class="text-sm text-waiting">△ {step.caution}</p>{/if}
            {/if}
            {#if step.wentIn}<p class="text-sm text-quiet">
                went in: <span class="fig">{step.wentIn}</span>
              </p>{/if}
            {#if step.waitsFor.length > 0}<p class="text-sm text-quiet">
                waits for {step.waitsFor.join(', ')}
              </p>{/if}
          </div>
          {#if step.photograph}<a href={step.photograph} target="_blank" rel="noreferrer" class="shrink-0"
              ><img src={step.photograph} alt="{step.off}, as it sat" class="h-11 w-14 object-cover" /></a
            >{/if}
          {#if may}
            <button
              type="button"
              aria-label="{back
                ? 'Off again'
                : step.secondPass && step.standing === 'off'
                  ? 'First pass'
                  : 'Back on'}: {step.off}"
              aria-pressed={back}
              disabled={work.busy || (!back && !step.open && step.standing === 'off')}
              class={[
                'flex size-11 shrink-0 items-center justify-center rounded-sm border text-lg font-bold',
                back
                  ? 'border-well bg-well-wash text-well'
                  : step.standing === 'first'
                    ? 'border-waiting bg-waiting-wash text-waiting'
                    : 'border-edge bg-white disabled:border-line disabled:bg-transparent',
              ]}
              onclick={() => press(step)}>{back ? '✓' : step.standing === 'first' ? '½' : ''}</button
            >
          {/if}
        </div>
        {#if may && step === next}
          <div class="pl-9">
            {#if partly === step.number}
              <PartlyBack {job} {step} close={() => (partly = null)} />
            {:else}
              <Button kind="quiet" onclick={() => (partly = step.number)}>Not quite as it came out…</Button>
              {#if step.standing === 'off'}<Button
                  kind="quiet"
                  busy={work.busy}
                  onclick={() => withdraw(step)}>Written by mistake</Button
                >{/if}
            {/if}
          </div>
        {/if}
      </li>
    {/each}
  </ol>
  {#if work.refusal}<div class="mt-2"><Problem message={work.refusal.message} /></div>{/if}
{:else}
  <p class="mt-4 text-quiet">
    What comes off is written here, one line each, and read upwards to put it back together.
  </p>
{/if}
