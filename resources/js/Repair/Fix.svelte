<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { Snippet } from 'svelte';
  import { fixQuery } from '@/api/queries';
  import type { Job } from '@/api/types';
  import { SistersOffer } from '@/Fleet';
  import BackTo from '@/ui/BackTo.svelte';
  import OnTo from '@/ui/OnTo.svelte';
  import { WarrantyChoice } from '@/Machines';
  import { p } from '@/router';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import { onKeys } from '@/ui/keys';
  import Key from '@/ui/Key.svelte';
  import Differences from './Differences.svelte';
  import DoneSoFar from './DoneSoFar.svelte';
  import GuideAtWork from './GuideAtWork.svelte';
  import GuidesOffered from './GuidesOffered.svelte';
  import PartsUsed from './PartsUsed.svelte';
  import PositionsAtFix from './PositionsAtFix.svelte';
  import ServiceToDo from './ServiceToDo.svelte';
  import TakeOffForm from './TakeOffForm.svelte';
  import ToMend from './ToMend.svelte';
  import Tray from './Tray.svelte';
  import WayBack from './WayBack.svelte';

  let { job, rail }: { job: Job; rail: Snippet } = $props();

  const me = here();
  const may = $derived(me.person.worksAtTheBench && !job.finishedAt && job.station === 'repair');
  const fix = createQuery(() => fixQuery(job));
  const faults = $derived(job.diagnoses.filter((d) => !d.superseded));
  const behind = $derived([...new Set(faults.flatMap((fault) => fault.behind))]);
  const cautions = $derived([...new Set(faults.flatMap((fault) => fault.cautions))]);
  const decided = $derived(!job.warranty?.runs || job.warranty.choice === 'mend');
  let writing = $state(false);
  let using = $state(false);

  $effect(() =>
    onKeys({
      t: () => {
        if (may && decided) writing = true;
      },
      u: () => {
        if (may) using = true;
      },
    }),
  );
</script>

<section class="min-w-0 lg:mt-3">
  {#if job.warranty?.runs}<WarrantyChoice {job} warranty={job.warranty} {may} />{/if}
  {#each faults.filter((fault) => fault.sisters !== null) as fault (fault.fault)}
    <SistersOffer {job} {fault} />
  {/each}
  <ToMend
    {job}
    {faults}
    {may}
    brief={(fix.data?.runs.length ?? 0) > 0 || (fix.data?.steps.length ?? 0) > 0}
  />
  {#if fix.data}
    <ServiceToDo {job} items={fix.data.service} changes={fix.data.changes} {may} />
    <div class="mt-3">
      {#if writing && may && decided}
        <TakeOffForm {job} fix={fix.data} close={() => (writing = false)} />
      {:else}
        <div class="flex flex-wrap items-center gap-2">
          {#if may && decided}<Button
              kind={fix.data.steps.length === 0 ? 'main' : 'plain'}
              onclick={() => (writing = true)}
              >Something comes off <Key light={fix.data.steps.length === 0}>t</Key></Button
            >{/if}
          {#if may}<Button onclick={() => (using = true)}>Use a part <Key>u</Key></Button>{/if}
          <a
            class="min-h-9 py-1.5 text-sm text-quiet underline"
            href={p('/families/:family/papers', { params: { family: job.machine.family } })}>Papers</a
          >
          {#if fix.data.steps.length > 0}<a
              class="min-h-9 py-1.5 text-sm text-quiet underline"
              href={p('/jobs/:id/tray', { params: { id: String(job.id) } })}>Tray sheet</a
            >{/if}
        </div>
      {/if}
    </div>
    <div
      class="mt-3 grid gap-x-6 gap-y-4 md:grid-cols-[minmax(0,1fr)_minmax(0,20rem)] 2xl:grid-cols-[minmax(0,1fr)_minmax(0,34rem)]"
    >
      <div class="min-w-0">
        <Differences {job} fix={fix.data} {may} />
        <WayBack {job} fix={fix.data} {may} />
      </div>
      <Tray fix={fix.data} />
    </div>
  {:else if fix.isError}
    <p class="mt-3 text-out">✕ {fix.error.message}</p>
  {:else}
    <p class="mt-3 text-quiet" role="status">Fetching the tray…</p>
  {/if}
  <div class="mt-5 grid gap-6 md:grid-cols-2">
    <PartsUsed {job} {may} wanted={faults.flatMap((f) => f.partClasses)} bind:using />
    <DoneSoFar {job} {may} />
  </div>
  {#if may}<PositionsAtFix {job} />{/if}
  <OnTo {job} from="repair" to="proof" name="Prove" />
  <BackTo {job} from="repair" to="diagnosis" name="Find" />
</section>
<aside class="grid content-start gap-5 bg-side p-4 lg:col-start-2 lg:row-span-2 lg:row-start-1">
  {#if fix.data}
    {#each fix.data.runs as run (run.id)}<GuideAtWork {job} {run} promised={fix.data.promised} {may} />{/each}
    {#if may}<GuidesOffered {job} fix={fix.data} />{/if}
  {/if}
  {#if cautions.length > 0 && fix.data?.runs.length === 0}
    <section>
      <h2>Mind</h2>
      <ul class="mt-1 grid gap-2">
        {#each cautions as caution (caution)}<li class="bg-waiting-wash px-3 py-2 text-sm text-waiting">
            △ {caution}
          </li>{/each}
      </ul>
    </section>
  {/if}
  {#if behind.length > 0}
    <section>
      <h2>What may lie behind it</h2>
      <p class="mt-1 text-sm">{behind.join(', ')}. Find that as well, or it comes back.</p>
    </section>
  {/if}
  <section>
    <h2>Owed in Prove</h2>
    <ul class="mt-1 grid gap-0.5 text-sm">
      {#each job.proofs as proof (proof.code)}
        <li>{proof.name} <span class="text-quiet">– {proof.because}</span></li>
      {:else}
        <li class="text-quiet">Nothing was touched yet.</li>
      {/each}
    </ul>
  </section>
  {@render rail()}
</aside>
