<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import PromiseDays from './PromiseDays.svelte';

  /** Which day holds for a job as it stands. */
  let { job, version, taken }: { job: number; version: number; taken: string } = $props();
  const offer = createQuery(() => ({
    queryKey: ['promise', job, version],
    queryFn: () => told(api.GET('/jobs/{job}/promise', { params: { path: { job } } })),
    staleTime: 60_000,
  }));
</script>

{#if offer.data}
  <section aria-labelledby="promise">
    <h2 id="promise">When it is ready</h2>
    <p class="mt-1">{offer.data.words}</p>
    <PromiseDays offer={offer.data} {taken} />
  </section>
{/if}
