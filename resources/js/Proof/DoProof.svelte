<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, Refusal, told } from '@/api/client';
  import { keepJob } from '@/api/queries';
  import type { Job, Proof } from '@/api/types';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { number } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  let { job, proof }: { job: Job; proof: Proof } = $props();

  const client = useQueryClient();
  const work = new Work();
  let value = $state('');

  const send = (body: { proof: string; value?: number; passed?: boolean }) =>
    work.do(async () =>
      keepJob(
        client,
        await told(api.POST('/jobs/{job}/proofs', { params: { path: { job: job.id } }, body })),
      ),
    );

  async function measured(): Promise<void> {
    const figure = number(value);
    await work.do(async () => {
      if (figure === null) {
        const message =
          value.trim() === '' ? `Give the value measured, in ${proof.unit}.` : `“${value}” is no number.`;
        throw new Refusal(422, message, [{ field: 'value', message }]);
      }
      const body = { proof: proof.code, value: figure };
      keepJob(
        client,
        await told(api.POST('/jobs/{job}/proofs', { params: { path: { job: job.id } }, body })),
      );
    });
  }
</script>

{#if proof.unit}
  <form
    class="mt-2 flex flex-wrap items-end gap-2"
    onsubmit={(event) => {
      event.preventDefault();
      void measured();
    }}
  >
    <div class="w-44">
      <Field
        label="Measured ({proof.limits})"
        bind:value
        numeric
        focus
        unit={proof.unit.split(' ')[0] ?? ''}
        error={work.error('value')}
      />
    </div>
    <Button kind="main" type="submit" busy={work.busy}>Write it down</Button>
  </form>
{:else}
  <div class="mt-2 flex flex-wrap gap-2">
    <Button
      kind="main"
      busy={work.busy}
      label="Passed: {proof.name}"
      onclick={() => send({ proof: proof.code, passed: true })}>Passed</Button
    >
    <Button
      busy={work.busy}
      label="Failed: {proof.name}"
      onclick={() => send({ proof: proof.code, passed: false })}>Failed</Button
    >
  </div>
{/if}
{#if work.refusal && !work.error('value')}<div class="mt-2">
    <Problem message={work.refusal.message} />
  </div>{/if}
