<script lang="ts">
  import { api, told } from '@/api/client';
  import type { PartPage } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Form from '@/ui/Form.svelte';
  import Select from '@/ui/Select.svelte';
  import Button from '@/ui/Button.svelte';
  import Dialog from '@/ui/Dialog.svelte';
  import Field from '@/ui/Field.svelte';
  import { whole } from '@/ui/figure';
  import Pick from '@/ui/Pick.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** What a part is called, what it fits, how long it keeps, what is to be known of it. */
  let {
    open = $bindable(false),
    page,
    keep,
  }: { open: boolean; page: PartPage; keep: (page: PartPage) => void } = $props();

  const me = here();
  const work = new Work();
  let name = $state('');
  let words = $state('');
  let notes = $state('');
  let life = $state('');
  let kind = $state('');
  let families = $state<string[]>([]);
  let positions = $state<string[]>([]);
  let traits = $state<Record<string, string>>({});

  $effect(() => {
    if (!open) return;
    name = page.part.name;
    words = page.words;
    notes = page.notes ?? '';
    life = page.shelfLifeWeeks === null ? '' : String(page.shelfLifeWeeks);
    kind = page.part.class;
    families = [...page.fits.families];
    positions = [...page.fits.positions];
    traits = { ...page.fits.traits };
  });

  /** positions of all families that take this class, by name */
  const takes = $derived.by(() => {
    const found: Record<string, string> = {};
    for (const family of me.words.families)
      for (const position of family.positions)
        if (family.takes[position.code] === kind) found[position.code] = position.name;
    return Object.entries(found);
  });
  const kinds = $derived.by(() => {
    const found: Record<string, string[]> = {};
    for (const family of me.words.families)
      for (const [trait, value] of Object.entries(family.traits))
        found[trait] = [...new Set([...(found[trait] ?? []), value])];
    return Object.entries(found).filter(([, values]) => values.length > 1);
  });
  const flip = (list: string[], code: string): string[] =>
    list.includes(code) ? list.filter((one) => one !== code) : [...list, code];

  const save = () =>
    work.do(async () => {
      const weeks =
        life.trim() === '' ? null : whole('shelfLifeWeeks', life, 'How many weeks? A whole number.');
      const body = {
        version: page.version,
        name,
        class: kind,
        words: words.trim() || null,
        notes: notes.trim() || null,
        families,
        positions,
        traits: Object.keys(traits).length > 0 ? traits : null,
        shelfLifeWeeks: weeks,
      };
      keep(
        await told(api.PATCH('/parts/{number}', { params: { path: { number: page.part.number } }, body })),
      );
      open = false;
    });

  const kept = (trait: string, value: string): Record<string, string> =>
    Object.fromEntries(Object.entries({ ...traits, [trait]: value }).filter(([, said]) => said !== ''));
</script>

{#snippet boxes(label: string, all: [string, string][], list: string[], flipped: (code: string) => void)}
  <fieldset>
    <legend class="text-sm font-semibold"
      >{label} <span class="font-normal text-quiet">none ticked: all</span></legend
    >
    <div class="mt-1 flex flex-wrap gap-x-4">
      {#each all as [code, called] (code)}
        <label class="inline-flex min-h-9 items-center gap-1.5"
          ><input
            type="checkbox"
            class="size-4 accent-action"
            checked={list.includes(code)}
            onchange={() => flipped(code)}
          />{called}</label
        >
      {:else}<span class="text-quiet">No position takes this.</span>{/each}
    </div>
  </fieldset>
{/snippet}

<Dialog bind:open title="What {page.part.number} is" wide>
  <Form class="grid gap-4" onsend={() => save()}>
    <div class="grid gap-4 md:grid-cols-2">
      <Field label="Name" bind:value={name} maxlength={160} focus error={work.error('name')} />
      <Field
        label="What people call it"
        bind:value={words}
        maxlength={300}
        hint="searched too, so slips of the tongue are welcome"
        error={work.error('words')}
      />
      <Pick
        label="What it is: {me.words.partClasses.find((one) => one.code === kind)?.name ?? kind}"
        items={me.words.partClasses}
        showAll
        onpick={(code) => (kind = code)}
        error={work.error('class')}
      />
      <Field
        label="Keeps for"
        bind:value={life}
        numeric
        unit="weeks"
        hint="empty: as its kind does"
        error={work.error('shelfLifeWeeks')}
      />
    </div>
    {@render boxes(
      'Fits',
      me.words.families.map((one): [string, string] => [one.code, one.name]),
      families,
      (code) => (families = flip(families, code)),
    )}
    {@render boxes('In', takes, positions, (code) => (positions = flip(positions, code)))}
    <div class="flex flex-wrap gap-x-4 gap-y-2">
      {#each kinds as [trait, values] (trait)}
        <Select
          label={trait.replace(/_/g, ' ')}
          bind:value={() => traits[trait] ?? '', (value) => (traits = kept(trait, value))}
          none="any"
          choices={values.map((value) => ({ code: value, name: value }))}
          class="min-h-9 w-40 py-1"
        />
      {/each}
    </div>
    <Field label="Notes" bind:value={notes} rows={3} maxlength={2000} />
    <Problem message={work.error('fits')} />
    {#if work.refusal && !work.error('fits') && !work.error('name')}<Problem
        message={work.refusal.message}
      />{/if}
    <div><Button kind="main" type="submit" busy={work.busy}>So it is</Button></div>
  </Form>
</Dialog>
