<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { keepJob } from '@/api/writes';
  import type { Job, Proof } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import { Signature, Signs } from '@/Shop';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** A lead says in words why a proof is not done. */
  let { job, proof }: { job: Job; proof: Proof } = $props();

  const client = useQueryClient();
  const work = new Work();
  const lead = new Signs(here(), () => true);
  const left = $derived(work.leftover('because', 'pin'));
  let open = $state(false);
  let because = $state('');

  const waive = () =>
    work.do(async () =>
      keepJob(
        client,
        await told(
          api.POST('/jobs/{job}/proofs/waiver', {
            params: { path: { job: job.id } },
            body: { proof: proof.code, because, ...lead.body() },
          }),
        ),
      ),
    );
</script>

{#if open}
  <Form class="mt-2 grid max-w-md gap-2" onsend={() => waive()}>
    <Field
      label="Why it is not done"
      bind:value={because}
      rows={2}
      focus
      maxlength={500}
      error={work.error('because')}
    />
    <Signature signs={lead} error={work.error('pin')} />
    <Problem message={left} />
    <div class="flex gap-2">
      <Button kind="main" type="submit" busy={work.busy}>Waive it</Button>
      <Button onclick={() => (open = false)}>Not now</Button>
    </div>
  </Form>
{:else}
  <Button kind="quiet" onclick={() => (open = true)}>Waive it, in words…</Button>
{/if}
