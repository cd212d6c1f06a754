<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { keepJob } from '@/api/writes';
  import type { Job } from '@/api/types';
  import { SistersOffer } from '@/Fleet';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import Dialog from '@/ui/Dialog.svelte';
  import { clock, percent } from '@/ui/format';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** What was confirmed in this job, also what turned out wrong. */
  let { job }: { job: Job } = $props();

  const client = useQueryClient();
  const me = here();
  const work = new Work();
  let wrong = $state<Job['diagnoses'][number] | null>(null);
  let overturnedBy = $state('');
  const present = $derived(
    job.findings.filter((f) => f.present).map((f) => ({ code: f.code, name: f.name })),
  );

  const asks = $derived(job.diagnoses.filter((d) => !d.superseded && d.sisters !== null));

  async function supersede(): Promise<void> {
    const fault = wrong?.fault;
    if (!fault) return;
    const body = { fault, overturnedBy: overturnedBy || null, version: job.version };
    const done = await work.do(async () =>
      keepJob(
        client,
        await told(api.POST('/jobs/{job}/faults/supersede', { params: { path: { job: job.id } }, body })),
      ),
    );
    if (done) wrong = null;
  }
</script>

{#each asks as ask (ask.fault)}
  <SistersOffer {job} fault={ask} />
{/each}
{#if job.diagnoses.length > 0}
  <h3 class="mt-4">Confirmed in this job</h3>
  <ul class="mt-1 text-sm">
    {#each job.diagnoses as diagnosis (diagnosis.fault + diagnosis.at)}
      <li class="rule-below flex items-center justify-between gap-3 py-1.5">
        <span class={diagnosis.superseded ? 'text-quiet' : ''}>
          <span aria-hidden="true">{diagnosis.superseded ? '✕' : '✓'}</span>
          <span class={diagnosis.superseded ? 'line-through' : 'font-semibold'}>{diagnosis.name}</span>
          <span class="text-quiet">
            believed <span class="fig">{percent(diagnosis.probability)}</span> %, {diagnosis.by}, {clock(
              diagnosis.at,
              me.zone,
            )}{diagnosis.superseded
              ? `; it was not${diagnosis.overturnedBy ? `, overturned by: ${diagnosis.overturnedBy}` : ''}`
              : ''}
          </span>
        </span>
        {#if !diagnosis.superseded && !job.finishedAt && me.person.worksAtTheBench}
          <Button kind="quiet" onclick={() => (wrong = diagnosis)}>It was not…</Button>
        {/if}
      </li>
    {/each}
  </ul>
{/if}
<Dialog
  bind:open={() => wrong !== null, (open) => (wrong = open ? wrong : null)}
  title="It was not: {wrong?.name ?? ''}"
>
  <div class="grid gap-4">
    <p class="text-quiet">It stays in the record with what overturned it, and the job goes back to Find.</p>
    {#if present.length > 0}<Press
        label="What overturned it"
        bind:value={overturnedBy}
        choices={present}
      />{/if}
    {#if work.refusal}<Problem message={work.refusal.message} />{/if}
    <div><Button kind="main" busy={work.busy} onclick={supersede}>It was not this</Button></div>
  </div>
</Dialog>
