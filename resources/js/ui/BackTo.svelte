<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import type { Job, Station } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Form from './Form.svelte';
  import Button from '@/ui/Button.svelte';
  import Dialog from '@/ui/Dialog.svelte';
  import Field from '@/ui/Field.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';
  import { moveJob } from './moves';

  let { job, from, to, name }: { job: Job; from: Station; to: Station; name: string } = $props();

  const client = useQueryClient();
  const me = here();
  const work = new Work();
  let open = $state(false);
  let why = $state('');
</script>

{#if job.station === from && !job.finishedAt && me.person.worksAtTheBench}
  <Button kind="quiet" onclick={() => (open = true)}>Back to {name}…</Button>
  <Dialog bind:open title="Back to {name}">
    <Form class="grid gap-4" onsend={() => work.do(() => moveJob(client, job, to, why))}>
      <Field
        label="Why does it go back?"
        bind:value={why}
        rows={2}
        maxlength={500}
        error={work.error('why')}
      />
      {#if work.refusal}<Problem message={work.refusal.message} />{/if}
      <div><Button kind="main" type="submit" busy={work.busy}>Back to {name}</Button></div>
    </Form>
  </Dialog>
{/if}
