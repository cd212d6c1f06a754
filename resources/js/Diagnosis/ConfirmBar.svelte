<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { keepJob, versionNow } from '@/api/writes';
  import type { Job } from '@/api/types';
  import Form from '@/ui/Form.svelte';
  import OnTo from '@/ui/OnTo.svelte';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import Dialog from '@/ui/Dialog.svelte';
  import Field from '@/ui/Field.svelte';
  import Pick from '@/ui/Pick.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** The end of Find: one fault or several are confirmed, or it is passed with its reason. */
  let {
    job,
    may,
    found,
    picked = $bindable(),
  }: { job: Job; may: boolean; found: Work; picked: string[] } = $props();

  const client = useQueryClient();
  const me = here();
  const work = new Work();
  let passing = $state(false);
  let reason = $state('');

  const path = $derived({ params: { path: { job: job.id } } });
  const name = (code: string) => me.words.faults.find((fault) => fault.code === code)?.name ?? code;
  const already = $derived(job.diagnoses.some((d) => !d.superseded) || job.findPassedBecause !== null);

  async function confirm(): Promise<void> {
    const faults = picked;
    let confirmed = false;
    await work.do(async () => {
      // a finding that was noted just before is part of what is confirmed
      if (!(await found.settled())) return;
      const body = { faults, version: versionNow(client, job) };
      keepJob(client, await told(api.POST('/jobs/{job}/faults', { ...path, body })));
      confirmed = true;
    });
    if (confirmed) picked = [];
  }

  const pass = () =>
    work.do(async () => {
      if (!(await found.settled())) return;
      const body = { reason, version: versionNow(client, job) };
      keepJob(client, await told(api.POST('/jobs/{job}/faults/pass', { ...path, body })));
    });
</script>

{#if may && job.station === 'diagnosis'}
  <div class="mt-3 flex flex-wrap items-center gap-2">
    <Button
      kind={picked.length > 0 ? 'main' : 'plain'}
      disabled={picked.length === 0}
      busy={work.busy}
      onclick={confirm}
    >
      {picked.length === 0 ? 'Tick what it is' : `Confirm: ${picked.map(name).join(' and ')}`}
    </Button>
    <Button kind="quiet" onclick={() => (passing = true)}>Nothing to mend…</Button>
  </div>
  {#if work.refusal && !passing}
    <div class="mt-2">
      <Problem message={work.refusal.message} reasons={work.refusal.errors.map((e) => e.message)} />
    </div>
  {/if}
  <details class="mt-2 text-sm">
    <summary class="min-h-9 cursor-pointer py-1.5 text-quiet">It is something the list does not show</summary>
    <div class="mt-1 max-w-md">
      <Pick
        label="Any fault of the catalogue"
        items={me.words.faults}
        clears
        onpick={(code) => {
          if (!picked.includes(code)) picked = [...picked, code];
        }}
      />
    </div>
  </details>
  {#if already}<OnTo {job} from="diagnosis" to="repair" name="Fix" />{/if}
  <Dialog bind:open={passing} title="Pass Find">
    <Form class="grid gap-4" onsend={() => pass()}>
      <Field
        label="Why is nothing to be mended?"
        bind:value={reason}
        rows={2}
        maxlength={500}
        hint="No fault found, not worth it, only a service…"
        error={work.error('reason')}
      />
      {#if work.refusal}<Problem message={work.refusal.message} />{/if}
      <div><Button kind="main" type="submit" busy={work.busy}>Pass Find</Button></div>
    </Form>
  </Dialog>
{/if}
