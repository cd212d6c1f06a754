<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { comparedQuery, jobQuery } from '@/api/queries';
  import type { Read, Sheet } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Form from '@/ui/Form.svelte';
  import Select from '@/ui/Select.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';
  import { asked } from './asked';
  import ReadOut from './Read.svelte';
  import KeepInJob from './KeepInJob.svelte';
  import Recorder from './Recorder.svelte';

  /** An instrument: what it asks on the left, what it reads on the right. */
  let { sheet, job }: { sheet: Sheet; job: number | null } = $props();

  const work = new Work();
  // what another instrument handed on stands in the address
  const given = new URLSearchParams(location.search);
  // svelte-ignore state_referenced_locally
  let typed = $state<Record<string, string>>(
    Object.fromEntries(sheet.inputs.map((input) => [input.key, given.get(input.key) ?? input.start])),
  );
  let file = $state<File | null>(null);
  let over = $state(false);
  let read = $state<Read | null>(null);
  const fileInput = $derived(sheet.inputs.find((input) => input.kind === 'file'));
  const tables = ['points', 'screws', 'pairs'];
  const texts = $derived(Object.fromEntries(Object.entries(typed).filter(([key]) => key !== fileInput?.key)));

  // in a job: where on the machine, what its family starts with, and what it read when it was well
  const me = here();
  const found = createQuery(() => ({ ...jobQuery(job ?? 0), enabled: job !== null }));
  const places = $derived(found.data?.positions.filter((at) => sheet.parts.includes(at.partClass)) ?? []);
  let chosen = $state('');
  const position = $derived(
    places.some((at) => at.position === chosen) ? chosen : (places[0]?.position ?? ''),
  );
  const compared = createQuery(() => ({
    ...comparedQuery(job ?? 0, sheet.code, position),
    enabled: job !== null && sheet.kept && found.data !== undefined,
  }));
  const touched: Record<string, boolean> = {};

  function type(key: string, value: string): void {
    touched[key] = true;
    typed[key] = value;
  }

  function suggest(key: string, value: string): void {
    if (!touched[key] && !given.has(key) && key in typed) typed[key] = value;
  }

  $effect(() => {
    const starts =
      me.words.families.find((family) => family.code === found.data?.machine.family)?.starts ?? {};
    for (const [key, value] of Object.entries(starts)) suggest(key, value);
  });
  $effect(() => {
    const baseline = compared.data?.baseline;
    if (baseline?.hands) suggest(baseline.hands, String(Math.round(baseline.value * 100) / 100));
  });

  async function measure(): Promise<void> {
    const done = await work.do(async () => {
      const { query, ...body } = asked(texts, fileInput ? file : null);
      const params = { path: { name: sheet.code }, query };
      read = await told(api.POST('/instruments/{name}/sheet', { params, ...body }));
    });
    if (!done) read = null;
  }

  function take(chosen: File | null | undefined): void {
    if (!chosen) return;
    file = chosen;
    void measure();
  }
</script>

<div class="grid gap-6 lg:grid-cols-[minmax(0,5fr)_minmax(0,7fr)]">
  <Form class="min-w-0" onsend={() => measure()}>
    <h2 class="text-lg">{sheet.name}</h2>
    <p class="mt-0.5 text-quiet">{sheet.about}</p>
    {#each sheet.cautions as caution (caution)}<p class="mt-1 text-sm text-waiting">△ {caution}</p>{/each}
    {#if places.length > 0}
      <div class="mt-3">
        <Select
          label="Taken at"
          bind:value={() => position, (at) => (chosen = at)}
          choices={places.map((at) => ({ code: at.position, name: at.name }))}
        />
      </div>
    {/if}
    <div class="mt-3 grid grid-cols-2 gap-x-3 gap-y-2.5">
      {#each sheet.inputs as input (input.key)}
        {#if input.kind === 'file'}
          <div
            class={['col-span-2 border-2 border-dashed p-3', over ? 'border-action bg-wash' : 'border-line']}
            role="group"
            aria-label={input.label}
            ondragover={(event) => {
              event.preventDefault();
              over = true;
            }}
            ondragleave={() => (over = false)}
            ondrop={(event) => {
              event.preventDefault();
              over = false;
              take(event.dataTransfer?.files[0]);
            }}
          >
            <label class="block text-sm font-semibold"
              >{input.label}
              <input
                type="file"
                accept={input.accept}
                class="mt-1 block w-full text-sm font-normal file:mr-3 file:min-h-11 file:cursor-pointer file:rounded-sm file:border file:border-solid file:border-edge file:bg-white file:px-3 file:font-semibold"
                onchange={(event) => take(event.currentTarget.files?.[0])}
              /></label
            >
            <p class="mt-1 text-sm text-quiet">{file ? file.name : 'Or drop it here.'}</p>
            {#if sheet.code === 'pluck-frequency'}<Recorder take={(wav) => take(wav)} />{/if}
            {#if work.error(input.key)}<p class="mt-1 text-sm font-semibold text-out">
                ✕ {work.error(input.key)}
              </p>{/if}
          </div>
        {:else if input.kind === 'choice'}
          <div class="col-span-2">
            <Press
              label={input.label}
              bind:value={() => typed[input.key] ?? '', (value) => type(input.key, value)}
              choices={input.choices.map((code) => ({ code, name: code.replaceAll('-', ' ') }))}
              error={work.error(input.key)}
            />
          </div>
        {:else}
          <div class={tables.includes(input.kind) || input.kind === 'numbers' ? 'col-span-2' : ''}>
            <Field
              label={input.label + (input.optional ? ' (if known)' : '')}
              unit={tables.includes(input.kind) ? undefined : input.unit || undefined}
              rows={tables.includes(input.kind) ? 4 : undefined}
              numeric={input.kind === 'number'}
              mono
              bind:value={() => typed[input.key] ?? '', (value) => type(input.key, value)}
              error={work.error(input.key)}
            />
          </div>
        {/if}
      {/each}
    </div>
    <div class="mt-3"><Button kind="main" type="submit" busy={work.busy}>Work it out</Button></div>
  </Form>
  <div class="min-w-0 lg:border-l lg:border-line lg:pl-6">
    {#if work.refusal}<Problem message={work.refusal.message} />{/if}
    {#if read}
      <ReadOut code={sheet.code} {read} {job} />
      {#if job !== null && sheet.kept}
        <KeepInJob {sheet} {job} {texts} {position} file={fileInput ? file : null} />
      {/if}
    {:else if !work.refusal}
      <p class="text-quiet">
        {fileInput
          ? 'Choose a file; what it says stands here.'
          : 'Type what was measured; what it says stands here.'}
      </p>
    {/if}
  </div>
</div>
