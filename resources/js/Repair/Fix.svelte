<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import type { Snippet } from 'svelte';
  import { api, told } from '@/api/client';
  import { keepJob } from '@/api/queries';
  import type { Job } from '@/api/types';
  import SistersOffer from '@/Fleet/SistersOffer.svelte';
  import BackTo from '@/Intake/BackTo.svelte';
  import OnTo from '@/Intake/OnTo.svelte';
  import { here } from '@/Shop/session.svelte';
  import Button from '@/ui/Button.svelte';
  import { clock, money } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';
  import NoteMend from './NoteMend.svelte';
  import UsePart from './UsePart.svelte';

  let { job, rail }: { job: Job; rail: Snippet } = $props();

  const client = useQueryClient();
  const me = here();
  const work = new Work();
  const may = $derived(me.person.worksAtTheBench && !job.finishedAt && job.station === 'repair');
  const faults = $derived(job.diagnoses.filter((d) => !d.superseded));
  const cautions = $derived([...new Set(faults.flatMap((fault) => fault.cautions))]);
  const behind = $derived([...new Set(faults.flatMap((fault) => fault.behind))]);
  const used = $derived(job.parts.filter((movement) => !movement.undone));
  const position = (code: string | null) => job.positions.find((p) => p.position === code)?.name;

  const putBack = (movement: number) =>
    work.do(async () =>
      keepJob(
        client,
        await told(
          api.DELETE('/jobs/{job}/parts/{movement}', { params: { path: { job: job.id, movement } } }),
        ),
      ),
    );
</script>

<div class="grid gap-6 lg:grid-cols-[minmax(0,1fr)_330px]">
  <section class="min-w-0">
    {#each faults.filter((fault) => fault.sisters !== null) as fault (fault.fault)}
      <SistersOffer {job} {fault} />
    {/each}
    <h2 class="rule-below pb-1.5">To mend</h2>
    {#if job.findPassedBecause}<p class="mt-2">Find was passed: {job.findPassedBecause}</p>{/if}
    <ul>
      {#each faults as fault (fault.fault)}
        <li class="rule-below py-2.5">
          <p class="flex flex-wrap items-baseline gap-x-3">
            <strong>{fault.name}</strong>
            <span class="text-sm text-quiet"><span class="fig">{fault.minutes}</span> min</span>
            {#if fault.danger}<span class="hatch rounded-sm px-1 text-xs font-bold"
                ><span class="bg-red px-0.5">DANGER</span></span
              >{/if}
            {#if fault.mended}<span class="font-semibold text-well">✓ mend noted</span>{/if}
          </p>
          {#if fault.ways.length < 2 || fault.mended}<p class="mt-0.5 max-w-prose">{fault.do}</p>{/if}
          {#if may && !fault.mended}<NoteMend {job} {fault} />{/if}
        </li>
      {/each}
    </ul>
    {#if may}<NoteMend {job} />{/if}
    <div class="mt-5 grid gap-6 md:grid-cols-2">
      <div>
        <h2 class="rule-below pb-1.5">Parts used</h2>
        <ul>
          {#each used as movement (movement.id)}
            <li class="rule-below flex items-center justify-between gap-2 py-1.5">
              <span>
                <span class="fig">{-movement.quantity}</span> × {movement.partName}
                <span class="text-sm text-quiet">
                  bin <span class="fig">{movement.bin}</span>{position(movement.position)
                    ? ` → ${position(movement.position)}`
                    : ''},
                  <span class="fig">{money(-movement.valueMinor, me.currency)}</span>
                </span>
              </span>
              {#if may}<Button kind="quiet" busy={work.busy} onclick={() => putBack(movement.id)}
                  >put back</Button
                >{/if}
            </li>
          {:else}
            <li class="py-2 text-quiet">None yet.</li>
          {/each}
        </ul>
        {#if work.refusal}<div class="mt-2"><Problem message={work.refusal.message} /></div>{/if}
        {#if may}<UsePart {job} wanted={faults.flatMap((f) => f.partClasses)} />{/if}
      </div>
      <div>
        <h2 class="rule-below pb-1.5">Done</h2>
        <ul>
          {#each job.mends as mend (mend.id)}
            <li class="rule-below py-1.5">
              <p class="break-words">{mend.fault ? `${mend.fault}: ` : ''}{mend.done}</p>
              <p class="text-sm text-quiet">
                {mend.by}, {clock(mend.at, me.zone)}; touched: {mend.touched.join(', ')}
              </p>
            </li>
          {:else}
            <li class="py-2 text-quiet">
              Nothing is noted yet. What is touched decides what must be proved.
            </li>
          {/each}
        </ul>
      </div>
    </div>
    <OnTo {job} from="repair" to="proof" name="Prove" />
    <BackTo {job} from="repair" to="diagnosis" name="Find" />
  </section>
  <aside class="grid content-start gap-5 bg-side p-4">
    {#if cautions.length > 0}
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
</div>
