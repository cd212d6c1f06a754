<script lang="ts">
  import type { Confirmed, Job } from '@/api/types';
  import NoteMend from './NoteMend.svelte';

  /** The confirmed faults, with how each is put right. */
  let { job, faults, may }: { job: Job; faults: Confirmed[]; may: boolean } = $props();
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
        {#if fault.mended}<span class="font-semibold text-well">✓ mend noted</span>{/if}
      </p>
      {#if fault.ways.length < 2 && !fault.mended}<p class="mt-0.5 max-w-prose text-sm">{fault.do}</p>{/if}
      {#if may && !fault.mended}<NoteMend {job} {fault} />{/if}
    </li>
  {/each}
</ul>
{#if may}<NoteMend {job} />{/if}
