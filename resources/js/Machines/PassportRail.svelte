<script lang="ts">
  import type { Job } from '@/api/types';
  import { OwedLooks } from '@/Fleet';
  import { p } from '@/router';
  import { here } from '@/api/session.svelte';
  import { day, hours } from '@/ui/format';

  /** What is known of the machine, beside the work on it. */
  let { job }: { job: Job } = $props();

  const me = here();
  const lower = (name: string): string =>
    name[1] === ' ' ? name : name.charAt(0).toLowerCase() + name.slice(1);
  const replaced = $derived(
    job.positions
      .filter((position) => position.replacements > 0)
      .sort((a, b) => (a.hoursOnIt ?? 0) - (b.hoursOnIt ?? 0))
      .slice(0, 5),
  );
</script>

<section aria-labelledby="passport">
  <h2 id="passport">Passport</h2>
  <dl class="mt-1 grid grid-cols-[1fr_auto] gap-x-3 gap-y-0.5">
    <dt class="text-quiet">Hours</dt>
    <dd class="text-right">
      <span class="fig">{hours(job.machine.hours)}</span> <span class="text-sm text-quiet">h</span>
    </dd>
    {#each replaced as position (position.position)}
      <dt class="truncate text-quiet" title={position.part ?? undefined}>
        On this {lower(position.name)}
      </dt>
      <dd class="text-right">
        <span class="fig">{hours(position.hoursOnIt)}</span> <span class="text-sm text-quiet">h</span>
      </dd>
    {/each}
  </dl>
  {#if replaced.length === 0}<p class="text-sm text-quiet">No part was replaced here yet.</p>{/if}
  <OwedLooks lists={job.campaigns} />
  <h3 class="mt-3">Earlier visits</h3>
  <ul class="mt-0.5 grid gap-1 text-sm">
    {#each job.pastJobs.slice(0, 3) as past (past.id)}
      <li>
        <a
          class="underline decoration-line hover:decoration-ink"
          href={p('/jobs/:id', { params: { id: String(past.id) } })}>{past.faults.join(', ') || past.kind}</a
        >
        <span class="text-quiet">{day(past.openedAt, me.zone)}</span>
        {#if past.warrantyUntil}<span class="block text-well"
            >stood for until {day(past.warrantyUntil, me.zone)}</span
          >{/if}
      </li>
    {:else}
      <li class="text-quiet">First time here.</li>
    {/each}
  </ul>
</section>
