<script lang="ts">
  import type { Job, Station } from '@/api/types';
  import { laterFind } from '@/Diagnosis';
  import { PassportRail } from '@/Machines';
  import { MoneyLine } from '@/Money';
  import { laterProve } from '@/Proof';
  import { laterSendOut } from '@/Release';
  import { laterFix } from '@/Repair';
  import { p } from '@/router';
  import { laterMakeSafe, RedTagPanel } from '@/Safety';
  import Tag from '@/ui/Tag.svelte';
  import { BookedIn, HandsAndWaiting, StationRuler } from '@/Intake';

  let { job }: { job: Job } = $props();

  // a station’s script comes when it is looked at
  const stations = {
    safety: laterMakeSafe,
    diagnosis: laterFind,
    repair: laterFix,
    proof: laterProve,
    release: laterSendOut,
  };

  // follows the job from station to station, unless somebody chose to look at another
  let chosen = $state<{ at: Station; station: Station } | null>(null);
  const viewed = $derived(chosen && chosen.at === job.station ? chosen.station : job.station);
  // at Find and Fix the right column begins at the top, so that the next step and its buttons are seen without scrolling
  const tall = $derived(viewed === 'diagnosis' || viewed === 'repair');
</script>

<svelte:head><title>{job.machine.tag} {job.machine.familyName} · Odd Bench</title></svelte:head>

<main
  class={[
    'px-4 pt-3 pb-6 md:px-5',
    tall && 'lg:grid lg:grid-cols-[minmax(0,1fr)_340px] lg:grid-rows-[auto_1fr] lg:gap-x-5',
  ]}
>
  <div class="min-w-0">
    <header class="grid items-start gap-x-6 gap-y-3 lg:grid-cols-[minmax(0,1fr)_minmax(0,560px)]">
      <div class="min-w-0">
        <h1 class="flex flex-wrap items-center gap-x-3 gap-y-1">
          <a href={p('/machines/:tag', { params: { tag: job.machine.tag } })} title="Passport"
            ><Tag tag={job.machine.tag} large red={job.redTag !== null} /></a
          >
          {job.machine.familyName}
        </h1>
        <p class="mt-1 line-clamp-2 break-words text-quiet">
          {job.machine.owner ?? (job.machine.heldAs === 'farm' ? 'Own farm' : 'Bought for resale')} · {job.kind}
          · “{job.complaint}”
        </p>
      </div>
      <div class="pt-2.5">
        <StationRuler
          {job}
          bind:viewed={() => viewed, (station) => (chosen = { at: job.station, station })}
        />
      </div>
    </header>
    <div class="flex flex-wrap items-center gap-x-5">
      <div><HandsAndWaiting {job} /></div>
      <MoneyLine {job} />
    </div>
    {#if job.redTag}<RedTagPanel {job} tag={job.redTag} />{/if}
  </div>

  {#snippet rail()}<PassportRail {job} />{/snippet}
  <div class={tall ? 'max-lg:mt-3 max-lg:flex max-lg:flex-col max-lg:gap-5 lg:contents' : 'mt-3'}>
    {#if viewed === 'intake'}
      <BookedIn {job} {rail} />
    {:else}
      {#await stations[viewed]() then { default: Station }}<Station {job} {rail} />{/await}
    {/if}
  </div>
</main>
