<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { keepJob } from '@/api/writes';
  import type { Fix, Job } from '@/api/types';
  import Button from '@/ui/Button.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  let {
    job,
    items,
    changes,
    may,
  }: { job: Job; items: Fix['service']; changes: Fix['changes']; may: boolean } = $props();

  const client = useQueryClient();
  const work = new Work();
  const done = (item: string) =>
    work.do(async () =>
      keepJob(
        client,
        await told(api.POST('/jobs/{job}/service', { params: { path: { job: job.id } }, body: { item } })),
      ),
    );
</script>

{#if changes.length > 0}
  <h2 class="rule-below mt-3 pb-1.5">
    To change before it fails
    <span class="font-normal text-sm text-quiet">take each part from its bin, below</span>
  </h2>
  <ul>
    {#each changes as change (change.position)}
      <li class="rule-below flex min-h-11 items-center justify-between gap-3 py-1">
        <span class={change.done ? 'text-quiet' : ''}>{change.done ? '✓ ' : ''}{change.name}</span>
        {#if change.done}<span class="text-sm text-quiet">changed in this job</span>{/if}
      </li>
    {/each}
  </ul>
{/if}
{#if items.length > 0}
  <h2 class="rule-below mt-3 pb-1.5">Service to do</h2>
  <ul>
    {#each items as item (item.code)}
      <li class="rule-below flex min-h-11 items-center justify-between gap-3 py-1">
        <span class={item.done ? 'text-quiet' : ''}>{item.done ? '✓ ' : ''}{item.name}</span>
        {#if may && !item.done}<Button kind="quiet" busy={work.busy} onclick={() => done(item.code)}
            >Done without its guide</Button
          >{/if}
      </li>
    {/each}
  </ul>
  {#if work.refusal}<Problem message={work.refusal.message} />{/if}
{/if}
