<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { untrack, type Snippet } from 'svelte';
  import { api, told } from '@/api/client';
  import { keepJob } from '@/api/writes';
  import type { Job } from '@/api/types';
  import { Signature, Signs } from '@/Shop';
  import { GoesBack } from '@/Intake';
  import Form from '@/ui/Form.svelte';
  import LinkButton from '@/ui/LinkButton.svelte';
  import BackTo from '@/ui/BackTo.svelte';
  import { p } from '@/router';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { day, number } from '@/ui/format';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import SumField from '@/ui/SumField.svelte';
  import { Work } from '@/ui/work.svelte';

  let { job, rail }: { job: Job; rail: Snippet } = $props();

  const client = useQueryClient();
  const me = here();
  const work = new Work();
  const signs = new Signs(me, () => way?.needsDanger ?? false);
  let to = $state(untrack(() => job.waysOut[0]?.to ?? ''));
  let note = $state('');
  let danger = $state('');
  let price = $state('');
  let warrantyDays = $state(untrack(() => String(job.waysOut[0]?.warrantyDays ?? '')));
  let warrantyHours = $state(untrack(() => String(job.waysOut[0]?.warrantyHours ?? '')));
  let shortcomings = $state('');
  let grade = $state('');
  let gradeBecause = $state('');

  const GRADES = [
    { code: 'fresh', name: 'Hardly used' },
    { code: 'good', name: 'Good' },
    { code: 'used', name: 'Used' },
    { code: 'worn', name: 'Worn' },
  ] as const;
  const may = $derived(me.person.meetsOwners && !job.finishedAt);
  const way = $derived(job.waysOut.find((w) => w.to === to));
  const faults = $derived(job.diagnoses.filter((d) => !d.superseded));

  async function send(): Promise<void> {
    if (!way) return;
    const paid = price.trim() === '' ? null : number(price);
    const sale = way.grade !== null;
    const body = {
      to: way.to as 'owner',
      warrantyDays: way.warrantyDays === null ? null : number(warrantyDays),
      warrantyHours: way.warrantyHours === null ? null : number(warrantyHours),
      shortcomings: sale ? shortcomings.trim() || null : null,
      grade: sale ? ((grade || null) as 'used' | null) : null,
      gradeBecause: sale ? gradeBecause.trim() || null : null,
      note: note || null,
      danger: way.needsDanger ? danger || null : null,
      priceMinor: paid === null ? null : Math.round(paid * 100),
      version: job.version,
      ...signs.body(),
    };
    await work.do(async () =>
      keepJob(
        client,
        await told(api.POST('/jobs/{job}/release', { params: { path: { job: job.id } }, body })),
      ),
    );
  }
</script>

<div class="grid gap-6 lg:grid-cols-[minmax(0,1fr)_330px]">
  <section class="min-w-0">
    <GoesBack {job} {may} />
    {#if may}
      <h2 class={['rule-below pb-1.5', job.accessories.length > 0 && 'mt-5']}>Where does it go</h2>
      <Form class="mt-3 grid max-w-2xl gap-4" onsend={() => send()}>
        <Press
          label="It goes"
          bind:value={to}
          choices={job.waysOut.map((w) => ({ code: w.to, name: w.name }))}
          error={work.error('to')}
        />
        {#if way && way.reasonsAgainst.length > 0}
          <div class="border-l-4 border-waiting bg-waiting-wash px-3 py-2 text-waiting">
            <p class="font-semibold">Not yet:</p>
            <ul>
              {#each way.reasonsAgainst as reason (reason)}<li>▢ {reason}</li>{/each}
            </ul>
          </div>
        {:else if way}
          {#if way.needsDanger}
            <Field
              label="The danger, in writing for its owner"
              bind:value={danger}
              rows={2}
              maxlength={1000}
              hint="What is wrong, what can happen, that it must not be switched on"
              error={work.error('danger')}
            />
          {/if}
          {#if way.grade}
            <div class="border-l-4 border-action bg-white px-3 py-2">
              <p>
                Grade by what is known:
                <strong>{GRADES.find((one) => one.code === way.grade)?.name}</strong>
              </p>
              {#if way.gradeBecause.length > 0}
                <ul class="mt-0.5 text-sm text-quiet">
                  {#each way.gradeBecause.slice(0, 5) as because (because)}<li>{because}</li>{/each}
                  {#if way.gradeBecause.length > 5}<li>
                      and {way.gradeBecause.length - 5} more, all on the sheet
                    </li>{/if}
                </ul>
              {/if}
            </div>
            <Field
              label="What is wrong with it and stays so"
              bind:value={shortcomings}
              maxlength={500}
              hint="A cracked cover, a missing foot: said plainly, it stands on the sheet"
              error={work.error('shortcomings')}
            />
            <Press
              label="Lower, as you see it"
              bind:value={grade}
              choices={GRADES.slice(GRADES.findIndex((one) => one.code === way.grade) + 1)}
              error={work.error('grade')}
            />
            {#if grade !== ''}<Field
                label="What makes it lower"
                bind:value={gradeBecause}
                maxlength={300}
                error={work.error('gradeBecause')}
              />{/if}
            <div class="w-44">
              <SumField label="Asking price" bind:value={price} error={work.error('priceMinor')} />
            </div>
          {/if}
          {#if way.warrantyDays !== null}
            <div class="flex flex-wrap gap-3">
              <div class="w-52">
                <Field
                  label="The repair is stood for"
                  bind:value={warrantyDays}
                  numeric
                  unit="days"
                  hint="0 for no warranty"
                  error={work.error('warrantyDays')}
                />
              </div>
              {#if way.warrantyHours !== null}<div class="w-52">
                  <Field
                    label="or print hours"
                    bind:value={warrantyHours}
                    numeric
                    unit="h"
                    hint="whichever ends first"
                    error={work.error('warrantyHours')}
                  />
                </div>{/if}
            </div>
          {/if}
          <Field label="Anything its next hands should know" bind:value={note} rows={2} maxlength={1000} />
          <Signature {signs} error={work.error('pin')} />
          <div class="flex flex-wrap items-center gap-3">
            <Button kind={way.runsAgain ? 'main' : 'red'} type="submit" busy={work.busy}
              >Sign: {way.name.toLowerCase()}</Button
            >
            {#if !signs.asked}<span class="text-sm text-quiet">signed as {me.person.name}</span>{/if}
            {#if way.runsAgain}<a
                class="min-h-9 py-1.5 text-sm text-quiet underline"
                href="/files/jobs/{job.id}/sheet.pdf"
                target="_blank"
                rel="noopener">Its sheet, as a draft</a
              >{/if}
          </div>
        {/if}
        {#if work.refusal}<Problem
            message={work.refusal.message}
            reasons={work.refusal.errors.map((e) => e.message)}
          />{/if}
      </Form>
    {:else if job.finishedAt}
      <h2 class="rule-below pb-1.5">Sent out</h2>
      <p class="mt-2">{job.destination}.</p>
      {#if job.sheet}
        <p class="mt-2 flex flex-wrap items-center gap-x-5">
          <LinkButton href="/files/jobs/{job.id}/sheet.pdf" apart
            >{job.destination === 'To sale'
              ? 'Condition sheet (PDF)'
              : job.destination === 'Back to its owner unmended'
                ? 'Warning for its owner (PDF)'
                : 'Repair report (PDF)'}</LinkButton
          >
          <a
            class="min-h-9 py-1.5 text-sm text-quiet underline"
            href={p('/machines/:tag/label', { params: { tag: job.machine.tag } })}
            >Label with the code of its page</a
          >
        </p>
        {#if job.destination === 'To sale'}<p class="mt-1 text-sm text-waiting">
            Print a new label: the code on the old one no longer opens its page.
          </p>{/if}
      {/if}
    {:else}
      <p class="text-quiet">Your role only looks.</p>
    {/if}
    <div class="mt-5 grid gap-6 md:grid-cols-2">
      <div>
        <h2 class="rule-below pb-1.5">What was wrong</h2>
        <ul class="mt-1">
          {#each faults as fault (fault.fault)}<li class="py-1">
              {fault.name}
              {#if fault.comebackSince}<span class="text-sm font-semibold text-waiting"
                  >▢ comeback of {day(fault.comebackSince, me.zone)}, mended without charge</span
                >{/if}
            </li>{:else}<li class="py-1 text-quiet">
              {job.findPassedBecause ?? 'Nothing confirmed.'}
            </li>{/each}
        </ul>
      </div>
      <div>
        <h2 class="rule-below pb-1.5">What was proved</h2>
        <ul class="mt-1">
          {#each job.proofs.filter((p) => p.standing === 'passed') as proof (proof.code)}
            <li class="flex justify-between gap-3 py-1">
              <span><span class="text-well" aria-hidden="true">✓</span> {proof.name}</span>
              {#if proof.value !== null}<span class="whitespace-nowrap"
                  ><span class="fig">{proof.value}</span>
                  <span class="text-sm text-quiet">{proof.unit}</span></span
                >{/if}
            </li>
          {:else}<li class="py-1 text-quiet">Nothing yet.</li>{/each}
        </ul>
      </div>
    </div>
    <BackTo {job} from="release" to="proof" name="Prove" />
  </section>
  <aside class="bg-side p-4">{@render rail()}</aside>
</div>
