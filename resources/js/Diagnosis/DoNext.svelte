<script lang="ts">
  import type { School } from '@/api/queries';
  import type { Answer, Diagnosis, Job, Step } from '@/api/types';
  import Button from '@/ui/Button.svelte';
  import { minutes, percent } from '@/ui/format';
  import { onKeys } from '@/ui/keys';
  import Key from '@/ui/Key.svelte';
  import MeasuredValue from './MeasuredValue.svelte';
  import Picture from './pictures/Picture.svelte';
  import SweepCard from './SweepCard.svelte';

  interface Props {
    job: Job;
    diagnosis: Diagnosis;
    may: boolean;
    busy: boolean;
    school: School;
    picked: string[];
    record: (findings: Record<string, boolean>, checks: string[]) => Promise<boolean>;
    measure: (check: string, value: number) => Promise<boolean>;
    cannotTell: (check: string) => Promise<boolean>;
  }
  let {
    job,
    diagnosis,
    may,
    busy,
    school = $bindable(),
    picked = $bindable(),
    record,
    measure,
    cannotTell,
  }: Props = $props();

  let chosen = $state('');
  const nameOf = (s: Step): string => `${s.kind} ${s.code}`;
  const step = $derived<Step | undefined>(
    diagnosis.next.find((s) => nameOf(s) === chosen) ?? diagnosis.next[0],
  );
  const others = $derived(diagnosis.next.filter((s) => s !== step));
  const can = $derived(may && !step?.wantsSignature);
  const several = $derived(step !== undefined && step.answers.length > 2);
  const findings = $derived(
    step?.answers.filter((a) => !['present', 'absent', 'none', 'several'].includes(a.answer)) ?? [],
  );
  let seen = $state<Record<string, boolean>>({});
  const anySeen = $derived(findings.some((finding) => seen[finding.answer]));

  const states: Record<string, string> = {
    cold: 'off and cold',
    unplugged: 'unplugged',
    open: 'cover off',
    powered: 'switched on',
    hot: 'heated',
  };

  const leads = (answer: Answer): string =>
    answer.leadsTo.map((b) => `${b.name} ${percent(b.probability)}\u00a0%`).join(', ');

  /** A check of one finding is answered with yes or no; which finding that is, the step's answers do not say, so the check does. */
  function answerOne(present: boolean): void {
    if (!step || busy || !can) return;
    const code = step.finding;
    if (step.kind === 'check' && code) void record({ [code]: present }, [step.code]);
  }

  async function answerSeveral(): Promise<void> {
    if (!step || !can) return;
    const told = Object.fromEntries(
      findings.map((finding) => [finding.answer, seen[finding.answer] === true]),
    );
    if (await record(told, [step.code])) seen = {};
  }

  $effect(() =>
    onKeys({
      y: () => !several && answerOne(true),
      n: () => step?.kind !== 'sweep' && (several ? !anySeen && void answerSeveral() : answerOne(false)),
      c: () => step?.kind === 'check' && may && void cannotTell(step.code),
    }),
  );
</script>

<section aria-labelledby="do-next">
  <h2 id="do-next">Do next</h2>
  {#if diagnosis.noneAdvice.length > 0}
    <div class="mt-2 bg-waiting-wash px-3 py-2 text-sm text-waiting">
      <p class="font-semibold">▢ Likeliest of all: none of these</p>
      <ul class="mt-0.5 list-disc pl-5">
        {#each diagnosis.noneAdvice as advice (advice)}<li>{advice}</li>{/each}
      </ul>
    </div>
  {/if}
  {#if step}
    <div class="mt-2 border border-action bg-sheet p-3.5">
      {#if step.tag}<p
          class="text-sm font-semibold {step.tag.startsWith('Safety') ? 'text-red' : 'text-action'}"
        >
          {step.tag}
        </p>{/if}
      <h3 class="text-base leading-snug">{step.name}</h3>
      <p class="text-sm text-quiet">
        <span class="fig">{minutes(step.minutes)}</span> min · {states[step.state] ??
          step.state}{#if step.takes}&nbsp;· by itself <span class="fig">{minutes(step.takes)}</span> min{/if}
      </p>
      {#if step.supervised}<p class="mt-1 text-sm font-semibold text-waiting">
          △ Somebody beside the switch
        </p>{/if}
      {#if step.wantsSignature}
        <p class="mt-1 text-sm font-semibold text-red">
          ▲ Red tag: only when a lead has signed for this one test, above
        </p>
      {/if}
      {#if step.qualified}<p class="mt-1 text-sm font-semibold text-waiting">
          △ Qualified people only; local rules decide
        </p>{/if}
      {#each step.cautions as caution (caution)}<p class="mt-1 text-sm leading-snug text-waiting">
          △ {caution}
        </p>{/each}
      {#if step.steps.length === 1}
        <p class="mt-1.5 text-sm">{step.steps[0]}</p>
      {:else if step.steps.length > 0}
        <ol class="steps mt-1.5 grid gap-0.5 text-sm">
          {#each step.steps as line (line)}<li>{line}</li>{/each}
        </ol>
      {/if}
      {#each step.pictures as picture (picture)}<Picture name={picture} />{/each}
      {#if step.instrument && can}
        <p class="mt-1.5 text-sm">
          <a class="font-semibold text-action underline" href="/instruments/{step.instrument}?job={job.id}"
            >Measure it with the instrument</a
          >, it says what it stands for
        </p>
      {/if}
      {#if step.kind === 'check' && step.reading && can}
        <MeasuredValue {step} {busy} {measure} />
      {/if}
      {#if step.kind === 'sweep'}
        {#key step.looks.map((look) => look.code).join()}<SweepCard
            {step}
            {can}
            {busy}
            {record}
            {cannotTell}
          />{/key}
      {:else if step.kind === 'check'}
        {#if several}
          <fieldset class="mt-2" disabled={!can}>
            <legend class="text-sm text-quiet">What is there? Tick it.</legend>
            {#each findings as finding (finding.answer)}
              <label
                class="flex min-h-10 items-center gap-2 leading-tight max-lg:min-h-11"
                title="then {leads(finding)}"
              >
                <input
                  type="checkbox"
                  class="size-5 shrink-0 accent-action"
                  bind:checked={seen[finding.answer]}
                />
                <span
                  >{finding.name}
                  <span class="text-sm text-quiet"
                    >→ {finding.leadsTo[0]?.name}
                    {percent(finding.leadsTo[0]?.probability ?? 0)}&nbsp;%</span
                  ></span
                >
              </label>
            {/each}
          </fieldset>
          {#if can}
            <div class="answers mt-2 flex flex-wrap gap-1.5">
              <Button kind="main" {busy} onclick={answerSeveral}
                >{anySeen ? 'These' : 'None of these'}{#if !anySeen}<Key light>n</Key>{/if}</Button
              >
              <Button {busy} onclick={() => cannotTell(step.code)}>Can’t tell <Key>c</Key></Button>
            </div>
          {/if}
        {:else}
          <p class="mt-1.5 font-semibold">{step.asks}?</p>
          <dl class="mt-1 grid grid-cols-[auto_1fr] gap-x-3 text-sm">
            {#each step.answers as answer (answer.answer)}
              <dt class="font-semibold">{answer.name.toLowerCase()}</dt>
              <dd>{leads(answer)}</dd>
            {/each}
          </dl>
          {#if can}
            <div class="answers mt-2.5 flex flex-wrap gap-1.5">
              <Button kind="main" {busy} onclick={() => answerOne(true)}>Yes <Key light>y</Key></Button>
              <Button {busy} onclick={() => answerOne(false)}>No <Key>n</Key></Button>
              <Button {busy} onclick={() => cannotTell(step.code)}>Can’t tell <Key>c</Key></Button>
            </div>
          {/if}
        {/if}
      {:else if may && job.station === 'diagnosis'}
        <div class="mt-2">
          <Button
            kind="main"
            disabled={picked.includes(step.code)}
            onclick={() => (picked = [...picked, step.code])}
          >
            {picked.includes(step.code) ? 'Ticked: confirm it' : 'It is this'}
          </Button>
        </div>
      {/if}
    </div>
    {#if step === diagnosis.next[0]}<p class="mt-1.5 text-sm">{diagnosis.why}</p>{/if}
    {#each [{ head: 'or', steps: others.filter((s) => s.pays || s.kind === 'mend') }, { head: 'would tell less', steps: others.filter((s) => !s.pays && s.kind !== 'mend') }] as group (group.head)}
      {#if group.steps.length > 0}
        <p class="mt-2 text-sm text-quiet">{group.head}</p>
        <ul>
          {#each group.steps as other (nameOf(other))}
            <li>
              <button
                type="button"
                class="flex min-h-8 w-full items-center justify-between gap-2 text-left text-sm hover:underline max-lg:min-h-11"
                onclick={() => {
                  chosen = nameOf(other);
                  seen = {};
                }}
                ><span
                  >{other.name}{#if other.tag}<span class="block text-quiet">{other.tag}</span>{/if}</span
                ><span class="shrink-0 text-quiet"><span class="fig">{minutes(other.minutes)}</span> min</span
                ></button
              >
            </li>
          {/each}
        </ul>
      {/if}
    {/each}
  {:else}
    <p class="mt-1 text-quiet">
      No look is left that would tell more. Confirm what it is, or pass Find with the reason.
    </p>
  {/if}
  <p class="mt-2 flex flex-wrap items-center gap-x-1.5 text-sm">
    Way of working:
    {#each [['measure-first', 'measure first'], ['swap-first', 'swap first']] as const as [code, name] (code)}
      <button
        type="button"
        aria-pressed={school === code}
        class={['min-h-9 px-1', school === code ? 'font-bold' : 'text-quiet underline']}
        onclick={() => (school = code)}>{name}</button
      >
    {/each}
  </p>
  <p class="text-sm leading-snug text-quiet">{diagnosis.otherSchool}</p>
</section>

<style>
  .answers :global(button) {
    padding-inline: 0.5rem;
  }
</style>
