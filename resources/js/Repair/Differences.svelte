<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { keepJob } from '@/api/writes';
  import type { Fix, Job } from '@/api/types';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** What came out and is not accounted for, once things begin to go back. */
  let { job, fix, may }: { job: Job; fix: Fix; may: boolean } = $props();

  const client = useQueryClient();
  const work = new Work();
  let because = $state('');
  let saying = $state(false);

  const backAt = (steps: number[]) => fix.steps.some((s) => steps.includes(s.number) && s.standing !== 'off');
  // what simply is not back yet stands in the list above
  const amiss = $derived(fix.differences.filter((d) => !d.explained && backAt(d.steps)));
  const explained = $derived(fix.differences.filter((d) => d.explained));

  /** Steps of a short size, each with how many it is short of. */
  const short = (d: Fix['differences'][number]) =>
    d.kind === 'fastener' && d.in < d.out
      ? d.steps.filter((n) => fix.steps.some((s) => s.number === n && s.standing !== 'off')).slice(0, 1)
      : [];

  const missing = (step: number, size: string, count: number) =>
    work.do(async () =>
      keepJob(
        client,
        await told(
          api.POST('/jobs/{job}/teardown-steps/{step}/missing', {
            params: { path: { job: job.id, step } },
            body: { fasteners: `${count} ${size}` },
          }),
        ),
      ),
    );

  async function explain(): Promise<void> {
    const kept = await work.do(async () =>
      keepJob(
        client,
        await told(
          api.POST('/jobs/{job}/differences/explanation', {
            params: { path: { job: job.id } },
            body: { because },
          }),
        ),
      ),
    );
    if (kept) {
      because = '';
      saying = false;
    }
  }
</script>

{#if amiss.length > 0}
  <div class="mt-3 bg-out-wash px-3 py-2.5 text-out" role="status">
    <ul class="grid gap-2">
      {#each amiss as difference (difference.kind + difference.what)}
        <li>
          <p>
            <strong
              >✕ <span class="fig">{difference.what}</span>: {difference.out} out, {difference.in} in.</strong
            >
            {difference.because}
          </p>
          {#if may}{#each short(difference) as step (step)}
              <Button
                busy={work.busy}
                onclick={() => missing(step, difference.what, difference.out - difference.in)}
                >It was not there when I opened it</Button
              >
            {/each}{/if}
        </li>
      {/each}
    </ul>
    {#if may}
      {#if saying}
        <Form class="mt-3 grid gap-2 text-ink" onsend={() => explain()}>
          <Field
            label="Why it may leave Fix so"
            bind:value={because}
            rows={2}
            focus
            maxlength={1000}
            error={work.error('because')}
          />
          <div class="flex gap-2">
            <Button kind="main" type="submit" busy={work.busy}>Say so</Button>
            <Button onclick={() => (saying = false)}>Not now</Button>
          </div>
        </Form>
      {:else}
        <Button kind="quiet" onclick={() => (saying = true)}>Say in words why it stays so…</Button>
      {/if}
    {/if}
    {#if work.refusal && !work.error('because')}<Problem message={work.refusal.message} />{/if}
  </div>
{/if}
{#each fix.substitutes.filter((s) => s.safe) as substitute (substitute.step + substitute.fitted)}
  <p class="mt-2 text-sm text-quiet">
    <span class="fig">{substitute.fitted}</span> instead of <span class="fig">{substitute.insteadOf}</span>: {substitute.because}
  </p>
{/each}
{#if explained.length > 0}
  <p class="mt-2 text-sm text-quiet">
    Not accounted for, and said why: {explained.map((d) => d.what).join(', ')}. “{fix.explanations.join(
      '”, “',
    )}”
  </p>
{/if}
