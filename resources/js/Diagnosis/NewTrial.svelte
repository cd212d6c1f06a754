<script lang="ts">
  import { api, sendPhotograph, told } from '@/api/client';
  import type { Trials } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Form from '@/ui/Form.svelte';
  import Check from '@/ui/Check.svelte';
  import FileButton from '@/ui/FileButton.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { number } from '@/ui/format';
  import { smaller } from '@/ui/photograph';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';
  import { settingNames, unitOf } from './settingUnits';

  /** The next trial: begins as the last one was set, so that one change is one keystroke. */
  interface Props {
    job: number;
    trials: Trials;
    planned: Record<string, string>[];
    keep: (trials: Trials) => void;
  }
  let { job, trials, planned = $bindable(), keep }: Props = $props();

  const me = here();
  const work = new Work();
  const ratings = ['1', '2', '3', '4', '5'].map((code) => ({ code, name: code }));
  const id = $props.id();

  let typed = $state<Record<string, string>>({});
  let more = $state<string[]>([]);
  let adding = $state('');
  let rating = $state('');
  let note = $state('');
  let stopped = $state(false);
  let from = $state('');
  let to = $state('');
  let picture = $state<File | null>(null);
  let wrong = $state('');

  const last = $derived(trials.trials.at(-1));
  const plan = $derived(planned[0]);
  const names = $derived([
    ...new Set([...trials.settings, ...planned.flatMap((one) => Object.keys(one)), ...more]),
  ]);
  const value = (name: string): string => typed[name] ?? plan?.[name] ?? String(last?.settings[name] ?? '');
  const changed = $derived(
    last ? names.filter((name) => value(name).trim() !== String(last.settings[name] ?? '')) : [],
  );

  function addSetting(): void {
    const name = adding.trim().replace(/,.*$/, '').toLowerCase();
    if (name !== '' && !names.includes(name)) more = [...more, name];
    adding = '';
  }

  async function save(): Promise<void> {
    addSetting();
    wrong = '';
    const settings = Object.fromEntries(
      names.map((name) => [name, value(name).trim()]).filter(([, text]) => text !== ''),
    ) as Record<string, string>;
    if (rating === '') {
      wrong = 'How well did it come out? Rate it from 1 (bad) to 5 (well).';
      return;
    }
    const done = await work.do(async () => {
      const photograph = picture ? (await sendPhotograph(job, await smaller(picture))).id : null;
      keep(
        await told(
          api.POST('/jobs/{job}/trials', {
            params: { path: { job } },
            body: {
              settings,
              rating: Number(rating),
              stopped,
              note: note.trim() || null,
              photograph,
              bandFromMm: number(from),
              bandToMm: number(to),
            },
          }),
        ),
      );
    });
    if (!done) return;
    typed = {};
    rating = '';
    note = '';
    stopped = false;
    from = '';
    to = '';
    picture = null;
    planned = planned.slice(1);
  }
</script>

<Form class="mt-5 border-l-4 border-wash pl-4" onsend={() => save()}>
  <h2>
    {plan ? `Next of the plan (${planned.length} left)` : last ? 'The next trial' : 'The first trial'}
  </h2>
  <div class="mt-2 flex flex-wrap items-end gap-3">
    {#each names as name (name)}
      <label class="block w-36 text-sm font-semibold"
        ><span class="block truncate" title={name}
          >{name}{changed.includes(name) ? ' ▸' : ''}
          <span class="font-normal text-quiet">{unitOf(me.words.settings, name)}</span></span
        >
        <input
          class={[
            'field mt-1 text-right font-mono font-normal',
            changed.includes(name) && 'border-2 border-action',
          ]}
          maxlength="60"
          autocomplete="off"
          bind:value={() => value(name), (text) => (typed[name] = text)}
        /></label
      >
    {/each}
    <div class="w-48">
      <label class="block text-sm font-semibold" for="{id}-setting">Another setting</label>
      <div class="mt-1 flex gap-1.5">
        <input
          id="{id}-setting"
          class="field"
          list="{id}-settings"
          maxlength="40"
          autocomplete="off"
          bind:value={adding}
          onkeydown={(event) => {
            if (event.key === 'Enter') {
              event.preventDefault();
              addSetting();
            }
          }}
        />
        <datalist id="{id}-settings">
          {#each settingNames(me.words.settings) as setting (setting.name)}<option value={setting.name}
            ></option>{/each}
        </datalist>
        <Button onclick={addSetting} label="Add this setting">Add</Button>
      </div>
    </div>
  </div>
  {#if changed.length > 1 && !plan}
    <p class="mt-2 text-sm font-semibold text-waiting">
      △ {changed.join(' and ')} changed at once: better one at a time, or make a plan.
    </p>
  {/if}
  <div class="mt-3 flex flex-wrap items-end gap-x-5 gap-y-3">
    <Press
      label="How it came out: 1 bad, 5 well"
      bind:value={rating}
      choices={ratings}
      error={wrong || work.error('rating')}
    />
    <Check bind:checked={stopped}>stopped early</Check>
    <FileButton accept="image/jpeg,image/png,image/webp" camera onfile={(file) => (picture = file)}
      >{picture ? `Photograph: ${picture.name}` : 'Photograph'}</FileButton
    >
  </div>
  <div class="mt-3 flex flex-wrap items-start gap-3">
    <div class="min-w-56 flex-1"><Field label="What is seen" bind:value={note} maxlength={200} /></div>
    <details class="text-sm">
      <summary class="min-h-9 cursor-pointer py-1.5 text-quiet">changed on the way up one print</summary>
      <div class="flex gap-2">
        <div class="w-32">
          <Field label="from height" unit="mm" numeric bind:value={from} error={work.error('bandFromMm')} />
        </div>
        <div class="w-32">
          <Field label="to height" unit="mm" numeric bind:value={to} error={work.error('bandToMm')} />
        </div>
      </div>
    </details>
  </div>
  {#if work.refusal}<div class="mt-2">
      <Problem message={work.refusal.message} reasons={work.refusal.errors.map((e) => e.message)} />
    </div>{/if}
  <div class="mt-3"><Button kind="main" type="submit" busy={work.busy}>Put it in the table</Button></div>
</Form>
