<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { keepJob } from '@/api/writes';
  import type { Job, Warranty } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import { day } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** Stands before the first step that opens a machine under warranty. */
  let { job, warranty, may }: { job: Job; warranty: Warranty; may: boolean } = $props();

  const client = useQueryClient();
  const me = here();
  const work = new Work();
  const choose = (choice: 'claim' | 'mend') =>
    work.do(async () =>
      keepJob(
        client,
        await told(
          api.POST('/jobs/{job}/warranty', {
            params: { path: { job: job.id } },
            body: { choice, note: null },
          }),
        ),
      ),
    );
</script>

<div class="mb-3 bg-waiting-wash px-3 py-2 text-waiting">
  <p>
    <strong>△ Guaranteed by its {warranty.by} until {day(warranty.until, me.zone)}.</strong>
    {warranty.note ?? ''}
    {#if warranty.choice === 'mend'}Mended here all the same; its loss is accepted.{:else if warranty.choice === 'claim'}It
      is claimed and stays closed.{:else}Opening it may cost the warranty.{/if}
  </p>
  {#if may && warranty.choice !== 'mend'}
    <div class="mt-2 flex flex-wrap gap-2">
      {#if warranty.choice === null}<Button busy={work.busy} onclick={() => choose('claim')}>Claim it</Button
        >{/if}
      <Button busy={work.busy} onclick={() => choose('mend')}>Mend it and accept the risk</Button>
    </div>
  {/if}
  {#if work.refusal}<Problem message={work.refusal.message} />{/if}
</div>
