<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { keepJob } from '@/api/writes';
  import type { Job, TrayStep } from '@/api/types';
  import Form from '@/ui/Form.svelte';
  import Check from '@/ui/Check.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** A step that goes back otherwise than it came out: another screw, a plug left out, a new part. */
  let { job, step, close }: { job: Job; step: TrayStep; close: () => void } = $props();

  const client = useQueryClient();
  const work = new Work();
  // svelte-ignore state_referenced_locally
  let fasteners = $state(
    step.fasteners
      .filter((f) => f.count > 0)
      .map((f) => `${f.count} ${f.size}`)
      .join(', '),
  );
  // svelte-ignore state_referenced_locally
  let plugged = $state<Record<string, boolean>>(Object.fromEntries(step.sockets.map((s) => [s, true])));
  // svelte-ignore state_referenced_locally
  let parts = $state<Record<string, 'back' | 'new' | 'written-off'>>(
    Object.fromEntries(step.parts.map((name) => [name, 'new'])),
  );

  async function write(): Promise<void> {
    const body = {
      fasteners: step.fasteners.length === 0 ? null : fasteners.trim() || 'none',
      sockets: step.sockets.filter((s) => plugged[s]),
      parts: step.parts.length === 0 ? null : parts,
      finished: true,
    };
    const kept = await work.do(async () =>
      keepJob(
        client,
        await told(
          api.POST('/jobs/{job}/teardown-steps/{step}/back', {
            params: { path: { job: job.id, step: step.number } },
            body,
          }),
        ),
      ),
    );
    if (kept) close();
  }
</script>

<Form class="my-2 grid gap-2.5" onsend={() => write()}>
  {#if step.fasteners.length > 0}
    <Field
      label="What went in (none, when nothing did)"
      bind:value={fasteners}
      mono
      focus
      maxlength={400}
      error={work.error('fasteners')}
    />
  {/if}
  {#if step.sockets.length > 0}
    <fieldset>
      <legend class="text-sm font-semibold">Plugged in again</legend>
      <div class="flex flex-wrap gap-x-5">
        {#each step.sockets as socket (socket)}
          <Check bind:checked={() => plugged[socket] ?? false, (on) => (plugged[socket] = on)}
            ><span class="fig">{socket}</span></Check
          >
        {/each}
      </div>
    </fieldset>
  {/if}
  {#each step.parts as name (name)}
    <Press
      label={name}
      bind:value={() => parts[name] ?? 'new', (now) => (parts[name] = now)}
      choices={[
        { code: 'new', name: 'a new one' },
        { code: 'back', name: 'the old one back' },
        { code: 'written-off', name: 'written off' },
      ]}
    />
  {/each}
  {#if work.refusal && !work.error('fasteners')}<Problem message={work.refusal.message} />{/if}
  <div class="flex gap-2">
    <Button kind="main" type="submit" busy={work.busy}>Back on, so</Button>
    <Button onclick={close}>Not now</Button>
  </div>
</Form>
