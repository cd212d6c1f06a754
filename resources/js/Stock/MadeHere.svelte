<script lang="ts">
  import { api, asItIs, told } from '@/api/client';
  import type { PartPage } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Form from '@/ui/Form.svelte';
  import FileButton from '@/ui/FileButton.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { figure, whole } from '@/ui/figure';
  import { money } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import SumField from '@/ui/SumField.svelte';
  import { Work } from '@/ui/work.svelte';

  /** A part the shop makes itself: of what, how long, from which file, at what cost; and putting what was made into its bin. */
  let { page, keep }: { page: PartPage; keep: (page: PartPage) => void } = $props();

  const me = here();
  const work = new Work();
  let editing = $state(false);
  let material = $state('PETG');
  let grams = $state('');
  let price = $state('');
  let printMinutes = $state('');
  let handMinutes = $state('');
  let how = $state('');
  let made = $state('1');
  let spool = $state('');
  const path = $derived({ number: page.part.number });
  const it = $derived(page.recipe);

  function edit(): void {
    material = it?.material ?? 'PETG';
    grams = it ? String(it.grams) : '';
    price = it ? (it.pricePerKgMinor / 100).toFixed(2) : '';
    printMinutes = it ? String(it.printMinutes) : '';
    handMinutes = it ? String(it.handMinutes) : '';
    how = it?.how ?? '';
    editing = true;
  }
  const say = () =>
    work.do(async () => {
      const body = {
        material,
        grams: figure('grams', grams),
        pricePerKgMinor: Math.round(figure('pricePerKgMinor', price) * 100),
        printMinutes: figure('printMinutes', printMinutes),
        handMinutes: figure('handMinutes', handMinutes),
        how: how.trim() || null,
      };
      keep(await told(api.PUT('/parts/{number}/recipe', { params: { path }, body })));
      editing = false;
    });
  const make = () =>
    work.do(async () => {
      const body = { quantity: whole('quantity', made), spool: spool.trim() || null };
      keep(await told(api.POST('/parts/{number}/made', { params: { path }, body })));
    });
  const attach = (file: File | undefined) =>
    file &&
    work.do(async () => {
      const params = { path, query: { name: file.name } };
      keep(await told(api.POST('/parts/{number}/recipe/file', { params, ...asItIs(file) })));
    });
  const named = ['grams', 'pricePerKgMinor', 'printMinutes', 'handMinutes', 'material', 'quantity', 'spool'];
</script>

<h2 class="rule-below mt-6 pb-1.5">Made here</h2>
{#if it && !editing}
  <p class="mt-1.5">
    <span class="fig">{it.grams}</span> g {it.material}{it.lengthM > 0 ? ` (${it.lengthM} m)` : ''},
    <span class="fig">{it.printMinutes}</span>
    minutes by itself and
    <span class="fig">{it.handMinutes}</span> of hands: one costs
    <span class="fig font-semibold">{money(it.materialMinor + it.handsMinor, me.currency)}</span>
    <span class="text-sm text-quiet"
      >(material {money(it.materialMinor, me.currency)}, hands {money(it.handsMinor, me.currency)})</span
    >
  </p>
  {#if it.how}<p class="mt-1 max-w-prose break-words">{it.how}</p>{/if}
  <p class="mt-1 flex flex-wrap items-center gap-x-3 text-sm">
    {#if it.fileName}<a class="text-action underline" href="/files/parts/{page.part.number}/file" download
        >{it.fileName}</a
      >{/if}
    {#if me.person.meetsOwners}
      <FileButton kind="quiet" onfile={attach}>{it.fileName ? 'Another file' : 'Attach its file'}</FileButton>
      <Button kind="quiet" onclick={edit}>Change</Button>
    {/if}
  </p>
  {#if me.person.meetsOwners}
    <Form class="mt-1 flex flex-wrap items-end gap-2" onsend={() => make()}>
      <div class="w-24"><Field label="Made" bind:value={made} numeric error={work.error('quantity')} /></div>
      {#if it.grams > 0}<div class="w-36">
          <Field
            label="From spool"
            bind:value={spool}
            mono
            maxlength={12}
            error={work.error('spool') ?? work.error('grams')}
          />
        </div>{/if}
      <Button type="submit" busy={work.busy}>Into the bin</Button>
    </Form>
  {/if}
{:else if editing}
  <Form class="mt-2 grid max-w-xl gap-3 sm:grid-cols-2" onsend={() => say()}>
    <Field
      label="Material"
      bind:value={material}
      mono
      focus
      maxlength={20}
      hint="PLA, PETG, ABS, ASA, TPU, PA, PC"
      error={work.error('material')}
    />
    <Field
      label="Of it in one"
      bind:value={grams}
      numeric
      unit="g"
      hint="0 when turned or cut"
      error={work.error('grams')}
    />
    <SumField label="A kilogram costs" bind:value={price} error={work.error('pricePerKgMinor')} />
    <Field
      label="Runs by itself"
      bind:value={printMinutes}
      numeric
      unit="min"
      error={work.error('printMinutes')}
    />
    <Field
      label="Hands on it"
      bind:value={handMinutes}
      numeric
      unit="min"
      error={work.error('handMinutes')}
    />
    <Field label="How" bind:value={how} rows={2} maxlength={1000} />
    <div class="flex gap-2 sm:col-span-2">
      <Button kind="main" type="submit" busy={work.busy}>So it is made</Button>
      <Button kind="quiet" onclick={() => (editing = false)}>Not now</Button>
    </div>
  </Form>
{:else if me.person.meetsOwners}
  <Button kind="quiet" onclick={edit}>We make it ourselves…</Button>
{:else}<p class="py-1.5 text-quiet">It is not made here.</p>{/if}
{#if work.refusal && !named.some((field) => work.error(field))}<Problem message={work.refusal.message} />{/if}
