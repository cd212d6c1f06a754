<script lang="ts">
  import { Collapsible } from 'bits-ui';
  import type { Diagnosis, Job } from '@/api/types';
  import { factor, percent } from '@/ui/format';
  import LeanBar from '@/ui/LeanBar.svelte';

  interface Props {
    job: Job;
    diagnosis: Diagnosis;
    may: boolean;
    picked: string[];
  }
  let { job, diagnosis, may, picked = $bindable() }: Props = $props();

  const FEW = 5;
  let all = $state(false);
  let opened = $state<Record<string, boolean>>({});
  const shown = $derived(all ? diagnosis.suspects : diagnosis.suspects.slice(0, FEW));
  const canConfirm = $derived(may && job.station === 'diagnosis');
  const confirmed = $derived(new Set(job.diagnoses.filter((d) => !d.superseded).map((d) => d.fault)));

  function toggle(fault: string): void {
    picked = picked.includes(fault) ? picked.filter((code) => code !== fault) : [...picked, fault];
  }
</script>

{#if diagnosis.danger.length > 0 && !job.redTag}
  <ul class="mt-2 border-l-4 border-red bg-out-wash px-3 py-2 text-sm text-red">
    {#each diagnosis.danger as because (because)}<li>▲ {because}</li>{/each}
    <li class="font-semibold">Leave it unplugged, look cold first.</li>
  </ul>
{/if}
{#if diagnosis.suspects.length === 0}
  <p class="mt-2 text-quiet">
    Nothing points anywhere yet. Add what it does on the left, or do the look on the right: {diagnosis.others} faults
    are possible on this machine.
  </p>
{/if}
<ul class="mt-1.5">
  {#each shown as suspect, i (suspect.fault)}
    {@const open = opened[suspect.fault] ?? i === 0}
    <li class="rule-below">
      <Collapsible.Root bind:open={() => open, (now) => (opened[suspect.fault] = now)}>
        <div class="flex items-center gap-2">
          {#if canConfirm}
            <label class="grid min-h-11 w-8 shrink-0 place-items-center">
              <input
                type="checkbox"
                class="size-5 accent-action"
                checked={picked.includes(suspect.fault)}
                disabled={confirmed.has(suspect.fault)}
                aria-label="It is: {suspect.name}"
                onchange={() => toggle(suspect.fault)}
              />
            </label>
          {/if}
          <Collapsible.Trigger
            class="grid min-h-11 min-w-0 flex-1 grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)_3.6rem_3.4rem] items-center gap-2.5 text-left hover:bg-wash"
          >
            <span class="min-w-0 leading-tight font-semibold break-words">
              {suspect.name}{#if suspect.first}<span class="block text-sm font-normal text-quiet"
                  >{suspect.first}</span
                >{/if}{#if suspect.danger}<span class="hatch ml-1.5 rounded-sm px-1 text-xs"
                  ><span class="bg-red px-0.5">DANGER</span></span
                >{/if}{#if confirmed.has(suspect.fault)}<span class="ml-1.5 text-sm text-well"
                  >✓ confirmed</span
                >{/if}
            </span>
            <LeanBar from={suspect.barFrom} to={suspect.barTo} danger={suspect.danger} />
            <span class="text-right font-mono font-semibold"
              >{percent(suspect.probability)}<span class="font-sans text-sm font-normal text-quiet"
                >&thinsp;%</span
              ></span
            >
            <span class="text-sm whitespace-nowrap text-quiet">
              {#if suspect.for.length > 0}▲<span class="fig">{suspect.for.length}</span>{/if}
              {#if suspect.against.length > 0}▽<span class="fig">{suspect.against.length}</span>{/if}
            </span>
          </Collapsible.Trigger>
        </div>
        <Collapsible.Content class="mb-2 border-l-2 border-wash pl-3 text-sm">
          {#if suspect.qualified}<p class="font-semibold text-waiting">
              △ Its mend is for qualified people only; local rules decide
            </p>{/if}
          <p>{suspect.means}{suspect.tells ? ` To be sure: ${suspect.tells}` : ''}</p>
          {#if suspect.for.length > 0}
            <p>
              <span class="text-action">▲</span>
              {#each suspect.for as evidence, n (evidence.finding)}{n > 0 ? ' · ' : ''}{evidence.present
                  ? ''
                  : 'not: '}{evidence.name}
                <span class="fig text-quiet">×&thinsp;{factor(evidence.factor)}</span>{/each}
            </p>
          {/if}
          {#if suspect.against.length > 0}
            <p>
              <span class="text-quiet">▽</span>
              {#each suspect.against as evidence, n (evidence.finding)}{n > 0 ? ' · ' : ''}{evidence.present
                  ? ''
                  : 'not: '}{evidence.name}
                <span class="fig text-quiet">×&thinsp;{factor(evidence.factor)}</span>{/each}
            </p>
          {/if}
          <p class="text-quiet">
            Everyday rate <span class="fig">{percent(suspect.start)}</span> %{suspect.jobsHere > 0
              ? `; here: ${suspect.seenHere} of ${suspect.jobsHere} ${job.machine.familyName} jobs`
              : ''}. The factors × are on the odds; they do not multiply. What owners usually tell and nobody
            told counts a little against, until somebody looks.
            {#if suspect.explainsBest}One of the faults that together explain most.{/if}
            {#if suspect.behind.length > 0}Behind it often: {suspect.behind
                .map((b) => `${b.name} ${percent(b.probability)} %`)
                .join(', ')}.{/if}
            {#if suspect.brings.length > 0}It brings: {suspect.brings
                .map((b) => `${b.name} ${percent(b.probability)} %`)
                .join(', ')}.{/if}
          </p>
        </Collapsible.Content>
      </Collapsible.Root>
    </li>
  {/each}
</ul>
{#if diagnosis.suspects.length > 0}
  <p class="mt-2 flex items-baseline justify-between gap-2 text-sm">
    <span
      ><span class="font-semibold">None of these</span>
      {#if diagnosis.overturned}<span class="text-quiet">{diagnosis.overturned}</span>{/if}</span
    >
    <span class="font-mono font-semibold"
      >{percent(diagnosis.none)}<span class="font-sans font-normal text-quiet">&thinsp;%</span></span
    >
  </p>
  <p class="mt-2 text-sm text-quiet">
    {#if diagnosis.suspects.length > FEW}
      <button type="button" class="min-h-9 underline" onclick={() => (all = !all)}
        >{all ? 'Only the likeliest' : `${diagnosis.suspects.length - FEW} less likely`}</button
      > ·
    {/if}
    {diagnosis.others} more may be there anyway, nothing points to them.
  </p>
{/if}
{#if diagnosis.unexplained.length > 0}
  <p class="mt-2 bg-waiting-wash px-3 py-2 text-sm text-waiting">
    ▢ Not explained by any of these: {diagnosis.unexplained.join(', ')}.
  </p>
{/if}
