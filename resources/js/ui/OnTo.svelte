<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import type { Job, Station } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';
  import { moveJob, obstacles } from './moves';

  /** The way on from a station, or what stands in it. */
  let { job, from, to, name }: { job: Job; from: Station; to: Station; name: string } = $props();

  const client = useQueryClient();
  const me = here();
  const work = new Work();
  const reasons = $derived(obstacles(job, to));
</script>

{#if job.station === from && !job.finishedAt && me.person.worksAtTheBench}
  <div class="mt-4 grid gap-2">
    {#if reasons.length > 0}
      <ul class="text-sm text-waiting" aria-label="Before it goes on to {name}">
        {#each reasons as reason (reason)}<li>▢ {reason}</li>{/each}
      </ul>
    {/if}
    <div>
      <Button
        kind="main"
        busy={work.busy}
        disabled={reasons.length > 0}
        onclick={() => work.do(() => moveJob(client, job, to))}
      >
        On to {name}
      </Button>
    </div>
    {#if work.refusal}<Problem
        message={work.refusal.message}
        reasons={work.refusal.errors.map((e) => e.message)}
      />{/if}
  </div>
{/if}
