<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { jobQuery } from '@/api/queries';
  import { p, route } from '@/router';
  import JobView from './JobView.svelte';

  const id = $derived(Number((route.params as Record<string, string>)['id']));
  const job = createQuery(() => jobQuery(id));
</script>

{#if job.data}
  {#key job.data.id}<JobView job={job.data} />{/key}
{:else if job.isError}
  <main class="p-8">
    <h1>This job cannot be shown</h1>
    <p class="mt-2">{job.error.message}</p>
    <p class="mt-2"><a class="font-semibold text-action underline" href={p('/')}>Go to the bench</a></p>
  </main>
{:else}
  <p class="p-8 text-quiet" role="status">Fetching the job…</p>
{/if}
