<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { wrote } from '@/api/writes';
  import type { Confirmed, Job } from '@/api/types';
  import { navigate } from '@/router';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** A find on one machine is a reason to look at the others with that part. */
  let { job, fault }: { job: Job; fault: Confirmed } = $props();

  const client = useQueryClient();
  const me = here();
  const work = new Work();

  const open = () =>
    work.do(async () => {
      const list = await told(
        api.POST('/jobs/{job}/campaigns', {
          params: { path: { job: job.id } },
          body: { fault: fault.fault },
        }),
      );
      wrote(client, 'looks', ['campaign', list.id], list);
      await navigate('/campaigns/:id', { params: { id: String(list.id) } });
    });
</script>

<div class="my-3 flex flex-wrap items-center justify-between gap-3 bg-waiting-wash px-3 py-2">
  <p class="min-w-0 flex-1 text-sm text-waiting">
    ▢ <strong>{fault.name}</strong> seldom comes alone: {fault.sistersBecause}.
    <span class="fig">{fault.sisters}</span> other {fault.sisters === 1 ? 'machine has' : 'machines have'} what
    it takes.
  </p>
  {#if me.person.worksAtTheBench && !job.finishedAt}
    <Button busy={work.busy} onclick={open}>Look at the sisters</Button>
  {/if}
  {#if work.refusal}<Problem message={work.refusal.message} />{/if}
</div>
