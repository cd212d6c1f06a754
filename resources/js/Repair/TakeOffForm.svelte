<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, sendPhotograph, told } from '@/api/client';
  import { keepJob } from '@/api/writes';
  import type { Fix, Job } from '@/api/types';
  import Form from '@/ui/Form.svelte';
  import Check from '@/ui/Check.svelte';
  import Select from '@/ui/Select.svelte';
  import FileButton from '@/ui/FileButton.svelte';
  import Button from '@/ui/Button.svelte';
  import { Draft } from '@/ui/draft.svelte';
  import Field from '@/ui/Field.svelte';
  import { number } from '@/ui/format';
  import { smaller } from '@/ui/photograph';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** One entry for the tray: what came off, its fasteners, its plugs; more when it matters. Enter writes it down. */
  let { job, fix, close }: { job: Job; fix: Fix; close: () => void } = $props();

  const client = useQueryClient();
  const work = new Work();
  const list = $props.id();
  // svelte-ignore state_referenced_locally
  const draft = new Draft(`tray:${job.id}`, {
    off: '',
    fasteners: '',
    sockets: '',
    missing: '',
    wayRound: '',
    caution: '',
    undoFirst: '',
    firstPass: '',
    secondPass: '',
    check: '',
    into: '',
    engagementMm: '',
    roomMm: '',
    cell: '',
    alone: '',
    before: '',
    parts: '',
  });
  const typed = draft.value;
  let more = $state(false);
  let picture = $state<File | null>(null);
  let sent: { file: File; id: number } | null = null;
  let said = $state('');
  let form = $state<HTMLFormElement | null>(null);

  const listed = (text: string): string[] =>
    text
      .split(/[,;]/)
      .map((word) => word.trim())
      .filter(Boolean);
  const off = $derived(fix.steps.filter((step) => step.standing === 'off'));
  const sockets = $derived(listed(typed.sockets));

  function socket(name: string): void {
    typed.sockets = (sockets.includes(name) ? sockets.filter((s) => s !== name) : [...sockets, name]).join(
      ', ',
    );
  }

  /** A size picked again is one more of it. */
  function size(name: string): void {
    const pieces = listed(typed.fasteners);
    const at = pieces.findIndex((piece) => piece.replace(/^\d+\s*/, '') === name);
    if (at < 0) pieces.push(`1 ${name}`);
    else pieces[at] = `${Number.parseInt(pieces[at] ?? '1', 10) + 1} ${name}`;
    typed.fasteners = pieces.join(', ');
  }

  async function write(): Promise<void> {
    const words = (text: string): string | null => text.trim() || null;
    const kept = await work.do(async () => {
      // a photograph that arrived is not sent again when the line it belongs to was refused
      if (picture && sent?.file !== picture)
        sent = { file: picture, id: (await sendPhotograph(job.id, await smaller(picture))).id };
      const photograph = picture ? (sent?.id ?? null) : null;
      keepJob(
        client,
        await told(
          api.POST('/jobs/{job}/teardown-steps', {
            params: { path: { job: job.id } },
            body: {
              off: typed.off,
              fasteners: words(typed.fasteners),
              missing: words(typed.missing),
              sockets,
              parts: listed(typed.parts),
              after: typed.alone ? [] : null,
              before: typed.before ? [Number(typed.before)] : [],
              cell: number(typed.cell),
              into: (words(typed.into) as 'metal' | 'plastic' | null) ?? null,
              engagementMm: number(typed.engagementMm),
              roomMm: number(typed.roomMm),
              wayRound: words(typed.wayRound),
              caution: words(typed.caution),
              undoFirst: words(typed.undoFirst),
              firstPass: words(typed.firstPass),
              secondPass: words(typed.secondPass),
              check: words(typed.check),
              photograph,
            },
          }),
        ),
      );
    });
    if (!kept) return;
    said = `On the tray: ${typed.off}.`;
    draft.clear();
    picture = null;
    form?.querySelector('input')?.focus();
  }
</script>

<svelte:window onkeydown={(event) => event.key === 'Escape' && close()} />

<Form
  bind:form
  class="grid gap-2.5 border-l-4 border-wash pl-4"
  aria-label="Something comes off"
  onsend={() => write()}
>
  <div class="grid gap-x-3 gap-y-2.5 sm:grid-cols-3">
    <div>
      <label for="{list}-off" class="block text-sm font-semibold">What came off</label>
      <!-- svelte-ignore a11y_autofocus -->
      <input
        id="{list}-off"
        list="{list}-often"
        class={['field mt-1', work.error('off') && 'border-2 border-out']}
        autocomplete="off"
        maxlength="160"
        autofocus
        bind:value={typed.off}
      />
      <datalist id="{list}-often">
        {#each fix.often as off (off)}<option value={off}></option>{/each}
      </datalist>
      {#if work.error('off')}<p class="mt-1 text-sm font-semibold text-out">✕ {work.error('off')}</p>{/if}
    </div>
    <Field
      label="Fasteners, such as 4 M3x12"
      bind:value={typed.fasteners}
      mono
      maxlength={400}
      error={work.error('fasteners')}
    />
    <Field label="Unplugged, by socket" bind:value={typed.sockets} mono maxlength={300} />
  </div>
  <div class="flex flex-wrap items-center gap-1" role="group" aria-label="Sizes this family has">
    {#each fix.sizes.slice(0, 10) as name (name)}
      <button
        type="button"
        tabindex="-1"
        class="fig min-h-8 rounded-sm border border-line bg-white px-2 text-sm hover:bg-wash max-lg:min-h-11"
        onclick={() => size(name)}>+1 {name}</button
      >
    {/each}
  </div>
  <div class="flex flex-wrap gap-1" role="group" aria-label="Sockets of this board">
    {#each fix.sockets as name (name)}
      <button
        type="button"
        tabindex="-1"
        aria-pressed={sockets.includes(name)}
        class={[
          'fig min-h-8 min-w-9 rounded-sm border px-1.5 text-sm max-lg:min-h-11',
          sockets.includes(name)
            ? 'border-action bg-action text-white'
            : 'border-line bg-white hover:bg-wash',
        ]}
        onclick={() => socket(name)}>{name}</button
      >
    {/each}
  </div>
  {#if more}
    <div class="grid gap-2.5 sm:grid-cols-2">
      <Field label="Which way round" bind:value={typed.wayRound} maxlength={300} />
      <Field label="Mind, on the way back" bind:value={typed.caution} maxlength={300} />
      <Field label="Parts taken out, with commas" bind:value={typed.parts} maxlength={300} />
      <Field
        label="Missing when it was opened"
        bind:value={typed.missing}
        mono
        maxlength={200}
        error={work.error('missing')}
      />
      <Field label="First pass, e.g. all in, finger-tight" bind:value={typed.firstPass} maxlength={300} />
      <Field label="Second pass, e.g. evenly, snug" bind:value={typed.secondPass} maxlength={300} />
      <Field label="Undo first, e.g. slacken the belt" bind:value={typed.undoFirst} maxlength={300} />
      <Field label="Then check, e.g. still turns" bind:value={typed.check} maxlength={300} />
      <div class="grid grid-cols-3 gap-2 sm:col-span-2">
        <Select
          label="Screws hold in"
          bind:value={typed.into}
          none="not said"
          choices={[
            { code: 'metal', name: 'metal' },
            { code: 'plastic', name: 'plastic' },
          ]}
        />
        <Field
          label="Thread that holds"
          bind:value={typed.engagementMm}
          numeric
          unit="mm"
          error={work.error('engagementMm')}
        />
        <Field
          label="Room behind it"
          bind:value={typed.roomMm}
          numeric
          unit="mm"
          error={work.error('roomMm')}
        />
      </div>
      <div class="flex flex-wrap items-end gap-4 sm:col-span-2">
        <div class="w-24">
          <Field label="Tray cell" bind:value={typed.cell} numeric error={work.error('cell')} />
        </div>
        {#if off.length > 0}
          <Select
            label="Goes back on before"
            bind:value={typed.before}
            none="nothing in particular"
            choices={off.map((step) => ({ code: String(step.number), name: `${step.number} ${step.off}` }))}
          />
        {/if}
        <Check bind:checked={() => typed.alone !== '', (on) => (typed.alone = on ? 'yes' : '')}
          >goes back on at any time, waits for nothing</Check
        >
      </div>
    </div>
  {/if}
  {#if work.leftover('off', 'fasteners', 'missing')}
    <Problem message={work.leftover('off', 'fasteners', 'missing') ?? ''} />
  {/if}
  <div class="flex flex-wrap items-center gap-2">
    <Button kind="main" type="submit" busy={work.busy}>Write it down</Button>
    <FileButton accept="image/*" camera onfile={(file) => (picture = file)}
      >{picture ? '✓ Photo' : 'Photo'}</FileButton
    >
    <Button kind="quiet" onclick={() => (more = !more)}
      >{more ? 'Less' : 'Which way round, cautions, passes…'}</Button
    >
    <Button kind="quiet" onclick={close}>Done for now</Button>
    <span class="text-sm text-well" role="status">{said}</span>
  </div>
</Form>
