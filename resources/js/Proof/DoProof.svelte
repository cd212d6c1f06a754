<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, Refusal, sendPhotograph, told } from '@/api/client';
  import { keepJob } from '@/api/writes';
  import type { Job, Proof } from '@/api/types';
  import Form from '@/ui/Form.svelte';
  import FileButton from '@/ui/FileButton.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { number } from '@/ui/format';
  import { smaller } from '@/ui/photograph';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** A proof done by hand: passed or failed, a value, or a log that tells the value; a note and a photograph with it. */
  let { job, proof }: { job: Job; proof: Proof } = $props();

  const client = useQueryClient();
  const work = new Work();
  let value = $state('');
  let more = $state(false);
  let byLog = $state(false);
  let note = $state('');
  let log = $state('');
  let every = $state('1');
  let picture = $state<File | null>(null);
  let sent: { file: File; id: number } | null = null;

  const ours = (field: string): boolean =>
    ['value', 'log', 'note', 'photograph', 'intervalS'].includes(field);

  async function send(body: { value?: number; passed?: boolean; log?: string; intervalS?: number }) {
    await work.do(async () => {
      // a photograph that arrived is not sent again when the proof it belongs to was refused
      if (picture && sent?.file !== picture)
        sent = { file: picture, id: (await sendPhotograph(job.id, await smaller(picture))).id };
      const evidence = { note: note.trim() || null, photograph: picture ? (sent?.id ?? null) : null };
      keepJob(
        client,
        await told(
          api.POST('/jobs/{job}/proofs', {
            params: { path: { job: job.id } },
            body: { proof: proof.code, ...body, ...evidence },
          }),
        ),
      );
    });
  }

  async function measured(): Promise<void> {
    if (byLog) {
      await send({ log, intervalS: number(every) ?? 1 });
      return;
    }
    const figure = number(value);
    if (figure !== null) {
      await send({ value: figure });
      return;
    }
    await work.do(() => {
      const message =
        value.trim() === '' ? `Give the value measured, in ${proof.unit ?? ''}.` : `“${value}” is no number.`;
      throw new Refusal(422, message, [{ field: 'value', message }]);
    });
  }

  async function dropped(file: File | undefined): Promise<void> {
    if (file) log = await file.text();
  }
</script>

{#snippet evidence()}
  {#if more}
    <div class="mt-2 grid max-w-md gap-2">
      <Field label="Note" bind:value={note} maxlength={500} error={work.error('note')} />
      <FileButton accept="image/*" camera onfile={(file) => (picture = file)}
        >{picture ? `Photograph: ${picture.name}` : 'Photograph'}</FileButton
      >
      {#if work.error('photograph')}<p class="text-sm font-semibold text-out">
          ✕ {work.error('photograph')}
        </p>{/if}
    </div>
  {/if}
{/snippet}

{#if proof.unit}
  <Form class="mt-2" onsend={() => measured()}>
    {#if byLog}
      <div class="grid max-w-xl gap-2">
        <Field
          label="Temperatures ({proof.limits})"
          bind:value={log}
          rows={4}
          mono
          focus
          hint="Lines as the firmware says them (T:200.1 /200.0 …), or time_s, actual_c, target_c, power"
          error={work.error('log')}
        />
        <div class="flex flex-wrap items-end gap-3">
          <FileButton accept=".csv,.txt,.log,text/plain,text/csv" onfile={dropped}>or its file</FileButton>
          <div class="w-36">
            <Field label="A line every" bind:value={every} numeric unit="s" error={work.error('intervalS')} />
          </div>
        </div>
      </div>
    {/if}
    {@render evidence()}
    <div class="mt-2 flex flex-wrap items-end gap-2">
      {#if !byLog}
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
      {/if}
      <Button kind="main" type="submit" busy={work.busy}
        >{byLog ? 'Read it out of the log' : 'Write it down'}</Button
      >
      {#if proof.byLog}<Button kind="quiet" onclick={() => (byLog = !byLog)}
          >{byLog ? 'Type the value' : 'From a log…'}</Button
        >{/if}
      {#if !more}<Button kind="quiet" onclick={() => (more = true)}>Note, photograph…</Button>{/if}
    </div>
  </Form>
{:else}
  {@render evidence()}
  <div class="mt-2 flex flex-wrap gap-2">
    <Button kind="main" busy={work.busy} label="Passed: {proof.name}" onclick={() => send({ passed: true })}
      >Passed</Button
    >
    <Button busy={work.busy} label="Failed: {proof.name}" onclick={() => send({ passed: false })}
      >Failed</Button
    >
    {#if !more}<Button kind="quiet" onclick={() => (more = true)}>Note, photograph…</Button>{/if}
  </div>
{/if}
{#if work.refusal && !work.refusal.errors.some((error) => ours(error.field))}<div class="mt-2">
    <Problem message={work.refusal.message} />
  </div>{/if}
