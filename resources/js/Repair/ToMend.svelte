<script lang="ts">
  import type { Confirmed, Job } from '@/api/types';
  import { p } from '@/router';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import { day } from '@/ui/format';
  import NoteMend from './NoteMend.svelte';

  /** The confirmed faults, with how each is put right. */
  let {
    job,
    faults,
    may,
    brief,
  }: {
    job: Job;
    faults: Confirmed[];
    may: boolean;
    /** work has begun: how it is done stands behind a press */
    brief: boolean;
  } = $props();
  const me = here();
  let opened = $state<string | null>(null);
  const whole = (fault: Confirmed): boolean => !fault.mended && (!brief || opened === fault.fault);
</script>

<h2 class="rule-below pb-1.5">To mend</h2>
{#if job.findPassedBecause}<p class="mt-2">Find was passed: {job.findPassedBecause}</p>{/if}
<ul>
  {#each faults as fault (fault.fault)}
    <li class="rule-below py-2">
      <p class="flex flex-wrap items-baseline gap-x-3">
        <strong>{fault.name}</strong>
        <span class="text-sm text-quiet"><span class="fig">{fault.minutes}</span> min</span>
        {#if fault.danger}<span class="hatch rounded-sm px-1 text-xs font-bold"
            ><span class="bg-red px-0.5">DANGER</span></span
          >{/if}
        {#if may && brief && !fault.mended}<Button
            kind="quiet"
            label="Note the mend: {fault.name}"
            onclick={() => (opened = opened === fault.fault ? null : fault.fault)}
            >{opened === fault.fault ? 'Not now' : 'Note the mend…'}</Button
          >{/if}
        {#if fault.mended}<span class="font-semibold text-well">✓ mend noted</span>{/if}
      </p>
      {#if fault.comebackOf && fault.comebackSince}
        <p class="mt-0.5 text-sm text-waiting">
          ▢ A comeback: mended here {day(fault.comebackSince, me.zone)}, still within its warranty.
          <a class="underline" href={p('/jobs/:id', { params: { id: String(fault.comebackOf) } })}
            >What was done then</a
          >
        </p>
      {/if}
      {#if fault.ways.length < 2 && whole(fault)}<p class="mt-0.5 max-w-prose text-sm">{fault.do}</p>{/if}
      {#if may && whole(fault)}<NoteMend {job} {fault} />{/if}
    </li>
  {/each}
</ul>
