<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Job, Proof } from '@/api/types';
  import BackTo from '@/ui/BackTo.svelte';
  import OnTo from '@/ui/OnTo.svelte';
  import { here } from '@/api/session.svelte';
  import { clock } from '@/ui/format';
  import ConnectedRun from './ConnectedRun.svelte';
  import DoProof from './DoProof.svelte';
  import WaiveProof from './WaiveProof.svelte';

  let { job, rail }: { job: Job; rail: Snippet } = $props();

  const me = here();
  /** a print is laid into what is known of a family */
  const known = $derived(me.words.families.find((one) => one.code === job.machine.family)?.unknown === false);
  const may = $derived(
    me.person.worksAtTheBench && !job.finishedAt && job.station === 'proof' && !job.redTag,
  );
  const stages = $derived.by(() => {
    const found: { code: string; name: string; proofs: Proof[] }[] = [];
    for (const proof of job.proofs) {
      const last = found.at(-1);
      if (last?.code === proof.stage) last.proofs.push(proof);
      else found.push({ code: proof.stage, name: proof.stageName, proofs: [proof] });
    }
    return found;
  });
  const next = $derived(job.proofs.find((proof) => proof.standing === 'open' || proof.standing === 'failed'));
  const done = $derived(job.proofs.filter((proof) => proof.standing === 'passed').length);
  const marks = {
    passed: ['✓', 'text-well'],
    failed: ['✕', 'text-out'],
    open: ['○', 'text-action'],
    later: ['·', 'text-quiet'],
  } as const;
</script>

<div class="grid gap-6 lg:grid-cols-[minmax(0,1fr)_330px]">
  <section class="min-w-0">
    <ConnectedRun {job} {may} />
    <h2 class="rule-below mt-4 pb-1.5">
      The ladder <span class="ml-1.5 text-sm font-normal text-quiet"
        ><span class="fig">{done}</span> of <span class="fig">{job.proofs.length}</span> passed; a stage opens when
        the one before has passed</span
      >
    </h2>
    {#if job.proofs.length === 0}
      <p class="mt-2 text-quiet">Nothing was touched, so nothing is owed.</p>
    {/if}
    <ol class="mt-1">
      {#each stages as stage, i (stage.code)}
        {@const passed = stage.proofs.every((proof) => proof.standing === 'passed')}
        {@const open = stage.proofs.some((proof) => proof.code === next?.code)}
        <li class="grid grid-cols-[2.4rem_minmax(0,1fr)] gap-x-2 md:grid-cols-[2.4rem_11rem_minmax(0,1fr)]">
          <span
            aria-hidden="true"
            class={[
              'flex flex-col items-center font-mono text-sm',
              i < stages.length - 1 && 'after:w-[3px] after:flex-1 after:content-[""]',
              passed ? 'after:bg-well' : 'after:bg-line',
            ]}
            ><span
              class={[
                'grid size-7 place-items-center border',
                passed
                  ? 'border-well bg-well-wash text-well'
                  : open
                    ? 'border-action bg-action text-white'
                    : 'border-edge text-quiet',
              ]}>{passed ? '✓' : i + 1}</span
            ></span
          >
          <h3 class={['pt-1 leading-tight', !open && !passed && 'text-quiet']}>{stage.name}</h3>
          <ul class="pb-2.5 max-md:col-start-2">
            {#each stage.proofs as proof (proof.code)}
              <li
                class={[
                  'rule-below py-1.5',
                  proof.code === next?.code &&
                    may &&
                    'border-b-0 border-l-4 border-l-action bg-white py-2.5 pl-3',
                ]}
              >
                <p class="flex flex-wrap items-baseline justify-between gap-x-3">
                  <span class={proof.standing === 'later' ? 'text-quiet' : 'font-semibold'}>
                    <span aria-hidden="true" class={marks[proof.standing][1]}>{marks[proof.standing][0]}</span
                    >
                    {proof.name}
                    {#if proof.standing === 'failed'}<span class="text-out">failed</span>{/if}
                  </span>
                  <span class="text-sm text-quiet">
                    {#if proof.at}
                      {#if proof.value !== null}<span class="fig text-ink">{proof.value}</span>
                        {proof.unit} ·{/if}
                      {proof.waived ? 'waived, ' : ''}{proof.by}, {clock(proof.at, me.zone)}
                    {:else}{proof.limits}{/if}
                  </span>
                </p>
                {#if proof.note || proof.waived || proof.photograph}
                  <p class="mt-0.5 flex flex-wrap items-center gap-x-3 text-sm text-quiet">
                    {#if proof.photograph}<a href={proof.photograph} target="_blank" rel="noopener"
                        ><img
                          src={proof.photograph}
                          alt="{proof.name}, photographed"
                          class="h-11 w-14 object-cover"
                        /></a
                      >{/if}
                    <span>{proof.waived ?? proof.note}</span>
                  </p>
                {/if}
                {#if proof.code === next?.code && may}
                  <p class="mt-0.5 max-w-prose text-sm">{proof.how}</p>
                  {#if proof.caution}<p class="mt-1 text-sm text-waiting">△ {proof.caution}</p>{/if}
                  {#if proof.print && known}
                    <p class="mt-1 text-sm">
                      <a class="underline" href={proof.print} download>Its G-code for this machine</a>
                    </p>
                  {/if}
                  {#key proof.code}<DoProof {job} {proof} />
                    {#if (me.person.isLead || me.session?.shared) && proof.mayBeWaived}<WaiveProof
                        {job}
                        {proof}
                      />{/if}{/key}
                {/if}
              </li>
            {/each}
          </ul>
        </li>
      {/each}
    </ol>
    {#if job.redTag && job.station === 'proof'}
      <p class="mt-2 font-semibold text-red">
        The machine wears a red tag: nothing is proved until it is off.
      </p>
    {/if}
    <OnTo {job} from="proof" to="release" name="Send out" />
    <BackTo {job} from="proof" to="repair" name="Fix" />
  </section>
  <aside class="grid content-start gap-5 bg-side p-4">
    <section>
      <h2>Why these</h2>
      <ul class="mt-1 grid gap-0.5 text-sm">
        {#each job.proofs as proof (proof.code)}<li>
            {proof.name} <span class="text-quiet">– {proof.because}</span>
          </li>{/each}
      </ul>
      {#if next?.failsAs}<p class="mt-2 text-sm text-quiet">
          If it fails, the job goes back to Find with: {next.failsAs}.
        </p>{/if}
    </section>
    {@render rail()}
  </aside>
</div>
