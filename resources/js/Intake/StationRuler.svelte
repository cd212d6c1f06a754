<script lang="ts">
  import type { Job, Station } from '@/api/types';

  /** A steel rule with six marks; the pointer stands at the present station, minutes of hands under each. */
  let { job, viewed = $bindable() }: { job: Job; viewed: Station } = $props();

  const at = $derived(job.stations.findIndex((station) => station.code === job.station));
</script>

<div class="min-w-0">
  <div
    aria-hidden="true"
    class="relative h-7 border border-edge/60 bg-steel"
    style="background-image: repeating-linear-gradient(90deg, transparent 0 calc(16.6667%/6 - 1px), rgb(116 124 128 / 0.45) calc(16.6667%/6 - 1px) calc(16.6667%/6)); background-size: 100% 7px; background-repeat: no-repeat;"
  >
    <div
      class="absolute inset-y-0 left-0 bg-action/12"
      style="width: {((at + (job.finishedAt ? 1 : 0)) / 6) * 100}%"
    ></div>
    {#each job.stations as station, i (station.code)}
      {#if i > 0}<div class="absolute top-0 h-3.5 w-px bg-edge" style="left: {(i / 6) * 100}%"></div>{/if}
      {#if station.minutes >= 0.5}
        <span
          class="absolute bottom-0 pl-1.5 font-mono text-[0.8125rem] leading-4 text-quiet"
          style="left: {(i / 6) * 100}%">{Math.round(station.minutes)} min</span
        >
      {/if}
    {/each}
    {#if !job.finishedAt}
      <svg
        class="absolute -top-3 h-4 w-3.5 -translate-x-1/2"
        style="left: {((at + 0.5) / 6) * 100}%"
        viewBox="0 0 14 16"
      >
        <path d="M0 0h14v9l-7 7-7-7z" fill="var(--color-action)" />
      </svg>
    {/if}
  </div>
  <div class="grid grid-cols-6" role="group" aria-label="Stations: choose which to look at">
    {#each job.stations as station (station.code)}
      <button
        type="button"
        aria-pressed={viewed === station.code}
        aria-current={job.station === station.code && !job.finishedAt ? 'step' : undefined}
        onclick={() => (viewed = station.code)}
        class={[
          'min-h-9 px-0.5 text-sm leading-4 hover:underline max-md:min-h-11',
          job.station === station.code && !job.finishedAt ? 'font-bold' : 'text-quiet',
          viewed === station.code && 'border-b-2 border-action',
        ]}>{station.name}</button
      >
    {/each}
  </div>
</div>
