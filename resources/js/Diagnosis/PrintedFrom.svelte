<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { keepJob, wrote } from '@/api/writes';
  import type { Job } from '@/api/types';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** The spool the print that went wrong came from: an old or a damp one is a circumstance. */
  let { job, may }: { job: Job; may: boolean } = $props();

  const client = useQueryClient();
  const work = new Work();
  let code = $state('');
  let asking = $state(false);

  const name = () =>
    work.do(async () => {
      keepJob(
        client,
        await told(
          api.POST('/jobs/{job}/spool', { params: { path: { job: job.id } }, body: { spool: code } }),
        ),
      );
      wrote(client, 'stock');
      asking = false;
      code = '';
    });
</script>

{#if job.spool || may}
  <div class="mt-3 flex flex-wrap items-center gap-x-2 text-sm">
    {#if job.spool}<span>Printed from <span class="font-semibold">{job.spool}</span></span>{/if}
    {#if may && asking}
      <Form class="flex items-center gap-2" onsend={() => name()}>
        <!-- svelte-ignore a11y_autofocus -->
        <input
          class="field fig w-28"
          bind:value={code}
          maxlength={12}
          placeholder="S12"
          aria-label="Code of the spool it printed from"
          autofocus
        />
        <Button type="submit" busy={work.busy}>From this spool</Button>
      </Form>
    {:else if may}<Button kind="quiet" onclick={() => (asking = true)}
        >{job.spool ? 'Another spool…' : 'Which spool did it print from?'}</Button
      >{/if}
  </div>
  {#if work.refusal}<Problem message={work.refusal.message} />{/if}
{/if}
