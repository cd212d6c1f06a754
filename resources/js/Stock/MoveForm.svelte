<script lang="ts">
  import { api, told } from '@/api/client';
  import type { PartPage } from '@/api/types';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { figure, whole } from '@/ui/figure';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import SumField from '@/ui/SumField.svelte';
  import { Work } from '@/ui/work.svelte';

  /** Receives, counts, scraps, and moves from bin to bin. */
  let { page, keep }: { page: PartPage; keep: (page: PartPage) => void } = $props();

  const work = new Work();
  let kind = $state<'received' | 'counted' | 'scrapped' | 'moved'>('received');
  let quantity = $state('');
  let cost = $state('');
  let batch = $state('');
  let note = $state('');
  let bin = $state('');
  let toBin = $state('');
  const several = $derived(page.bins.length > 1);
  const words = {
    received: ['How many', 'Put in bin'],
    counted: ['How many are in it', 'So many are there'],
    scrapped: ['How many', 'Scrap them'],
    moved: ['How many', 'Move them'],
  } as const;

  async function move(costIsRight = false): Promise<void> {
    const done = await work.do(async () => {
      const body = {
        kind,
        quantity: whole('quantity', quantity),
        bin: bin.trim() || null,
        toBin: kind === 'moved' ? toBin.trim() || null : null,
        batch: kind === 'received' ? batch.trim() || null : null,
        costIsRight,
        note: note.trim() || null,
        unitCostMinor:
          kind === 'received' ? Math.round(100 * figure('unitCostMinor', cost, 'What did one cost?')) : null,
      };
      keep(
        await told(
          api.POST('/parts/{number}/movements', { params: { path: { number: page.part.number } }, body }),
        ),
      );
    });
    if (done) quantity = cost = note = batch = toBin = '';
  }
  const named = ['quantity', 'unitCostMinor', 'bin', 'toBin', 'batch', 'cost'];
  const other = $derived(work.refusal && !named.some((field) => work.error(field)));
</script>

<h2>Move stock</h2>
<Form class="mt-2 grid gap-3" onsend={() => move()}>
  <Press
    label="What happens"
    bind:value={kind}
    choices={[
      { code: 'received', name: 'Receive' },
      { code: 'counted', name: 'Count' },
      { code: 'scrapped', name: 'Scrap' },
      { code: 'moved', name: 'To another bin' },
    ]}
  />
  <div class="grid grid-cols-2 gap-3">
    <Field label={words[kind][0]} bind:value={quantity} numeric error={work.error('quantity')} />
    {#if kind === 'received'}<SumField
        label="Cost of one"
        bind:value={cost}
        error={work.error('unitCostMinor')}
      />{/if}
    {#if kind === 'moved'}<Field
        label="Into bin"
        bind:value={toBin}
        mono
        maxlength={12}
        error={work.error('toBin')}
      />{/if}
    {#if several || kind === 'received'}<Field
        label={kind === 'moved' ? 'From bin' : 'Bin'}
        bind:value={bin}
        mono
        maxlength={12}
        hint="{page.part.bin} when empty"
        error={work.error('bin')}
      />{/if}
    {#if kind === 'received'}<Field
        label="Batch, on the bag"
        bind:value={batch}
        mono
        maxlength={40}
        error={work.error('batch')}
      />{/if}
  </div>
  <Field label="Note" bind:value={note} maxlength={200} />
  {#if work.error('cost')}
    <p class="text-waiting">▢ {work.error('cost')}</p>
    <div><Button busy={work.busy} onclick={() => move(true)}>That is what one cost</Button></div>
  {/if}
  {#if other && work.refusal}<Problem message={work.refusal.message} />{/if}
  <div><Button kind="main" type="submit" busy={work.busy}>{words[kind][1]}</Button></div>
</Form>
