<script lang="ts">
  import { api, told } from '@/api/client';
  import type { Spools } from '@/api/types';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import Dialog from '@/ui/Dialog.svelte';
  import Field from '@/ui/Field.svelte';
  import { figure } from '@/ui/figure';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import SumField from '@/ui/SumField.svelte';
  import { Work } from '@/ui/work.svelte';

  /** Makes a spool known. */
  let {
    open = $bindable(false),
    materials,
    keep,
  }: { open: boolean; materials: string[]; keep: (all: Spools) => void } = $props();

  const work = new Work();
  let material = $state('');
  let colour = $state('');
  let lot = $state('');
  let net = $state('1000');
  let empty = $state('');
  let price = $state('');
  let madeOn = $state('');

  const add = () =>
    work.do(async () => {
      keep(
        await told(
          api.POST('/spools', {
            body: {
              material,
              colour: colour.trim() || null,
              lot: lot.trim() || null,
              netG: figure('netG', net),
              emptyG: figure('emptyG', empty),
              pricePerKgMinor:
                price.trim() === '' ? null : Math.round(figure('pricePerKgMinor', price) * 100),
              madeOn: madeOn || null,
            },
          }),
        ),
      );
      open = false;
      colour = lot = empty = madeOn = '';
    });
</script>

<Dialog bind:open title="New spool">
  <Form class="grid gap-4" onsend={() => add()}>
    <Press
      label="Material"
      bind:value={material}
      choices={materials.map((code) => ({ code, name: code }))}
      error={work.error('material')}
    />
    <div class="grid grid-cols-2 gap-4">
      <Field label="Colour" bind:value={colour} maxlength={40} />
      <Field label="Lot" bind:value={lot} mono maxlength={40} />
      <Field label="Filament when new" bind:value={net} numeric unit="g" error={work.error('netG')} />
      <Field
        label="Empty spool"
        bind:value={empty}
        numeric
        unit="g"
        hint="weigh one, or see its rim"
        error={work.error('emptyG')}
      />
      <SumField label="A kilogram cost" bind:value={price} error={work.error('pricePerKgMinor')} />
      <Field
        label="Made on"
        bind:value={madeOn}
        type="date"
        hint="if it says so"
        error={work.error('madeOn')}
      />
    </div>
    {#if work.refusal && work.refusal.errors.length === 0}<Problem message={work.refusal.message} />{/if}
    <div><Button kind="main" type="submit" busy={work.busy}>Make it known</Button></div>
  </Form>
</Dialog>
