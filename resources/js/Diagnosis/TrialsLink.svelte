<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { trialsQuery } from '@/api/queries';
  import type { Job } from '@/api/types';
  import { p } from '@/router';

  /** The way to the trial prints, with what they say so far. */
  let { job }: { job: Job } = $props();

  const trials = createQuery(() => trialsQuery(job.id));
  const many = $derived(trials.data?.trials.length ?? 0);
</script>

<p class="mt-4 text-sm">
  <a
    class="font-semibold text-action underline"
    href={p('/jobs/:id/trials', { params: { id: String(job.id) } })}>Trial prints</a
  >
  <span class="text-quiet"
    >{many === 0
      ? 'when a setting may be the cause: one change at a time, rated'
      : `${many} so far. ${trials.data?.because ?? ''}`}</span
  >
</p>
