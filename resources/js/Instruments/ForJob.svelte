<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { jobQuery } from '@/api/queries';
  import { p } from '@/router';
  import Tag from '@/ui/Tag.svelte';

  /** Which job is measured for. */
  let { job }: { job: number } = $props();

  const found = createQuery(() => jobQuery(job));
</script>

{#if found.data}
  <p class="mb-3 flex flex-wrap items-center gap-3 bg-side px-3 py-2 text-sm">
    Measuring for <Tag tag={found.data.machine.tag} red={found.data.redTag !== null} />
    {found.data.machine.familyName}
    <a class="ml-auto underline" href={p('/jobs/:id', { params: { id: String(job) } })}>Back to the job</a>
  </p>
{/if}
