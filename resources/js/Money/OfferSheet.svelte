<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { knowledgeQuery } from '@/api/queries';
  import type { OfferPage } from '@/api/types';
  import { ComplaintReader } from '@/Diagnosis';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import Form from '@/ui/Form.svelte';
  import Problem from '@/ui/Problem.svelte';
  import Select from '@/ui/Select.svelte';
  import SumField from '@/ui/SumField.svelte';
  import { Work } from '@/ui/work.svelte';
  import { OfferForm } from './offerForm.svelte';
  import { typed } from './sums';

  /** The sheet of a machine on offer is written: what the seller says proposes the tests, every figure can be corrected. */
  let {
    offer,
    keep,
    cancel,
  }: { offer: OfferPage | null; keep: (offer: OfferPage) => void; cancel?: () => void } = $props();

  const client = useQueryClient();
  const work = new Work();
  const looking = new Work();
  const knowledge = createQuery(() => knowledgeQuery());
  const form = new OfferForm();
  $effect.pre(() => {
    if (offer) form.take(offer);
  });
  const names = $derived(new Map((knowledge.data?.findings ?? []).map((one) => [one.code, one.name])));
  const asks = $derived(work.error('belowParts'));
  const own = [
    'family', 'seller', 'says', 'missing', 'asked', 'freight', 'missingCosts', 'selling', 'sells', 'single', 'parts', 'margin',
    'stages', 'belowParts',
  ]; // prettier-ignore
  const left = $derived(work.leftover(...own));

  const look = () =>
    looking.do(async () => {
      const body = {
        family: form.family,
        findings: form.findings,
        sells: typed(form.sells),
        single: typed(form.single),
        parts: typed(form.parts),
      };
      form.propose(await told(api.POST('/money/offers/look', { body })));
    });
  const send = (belowParts: boolean) =>
    work.do(async () => {
      const body = { ...form.body(), belowParts };
      const kept = offer
        ? await told(
            api.PUT('/money/offers/{offer}', {
              params: { path: { offer: offer.id } },
              body: { ...body, version: offer.version },
            }),
          )
        : await told(api.POST('/money/offers', { body }));
      await client.invalidateQueries({ queryKey: ['offers'] });
      keep(kept);
    });
  function drop(code: string): void {
    form.findings = form.findings.filter((one) => one !== code);
  }
</script>

<Form class="grid gap-4" onsend={() => send(false)}>
  <div class="grid items-start gap-4 md:grid-cols-[15rem_minmax(0,1fr)_11rem]">
    <Select
      label="Family"
      bind:value={form.family}
      none="choose…"
      choices={knowledge.data?.families ?? []}
      error={work.error('family') ?? looking.error('family')}
    />
    <Field label="Seller" bind:value={form.seller} maxlength={120} error={work.error('seller')} />
    <SumField label="Asked" bind:value={form.asked} error={work.error('asked')} />
  </div>
  <div>
    <Field
      label="What the seller says, in their own words"
      bind:value={form.says}
      rows={2}
      maxlength={2000}
      error={work.error('says')}
    />
    {#if form.findings.length > 0}
      <ul class="mt-1.5 flex flex-wrap gap-1.5">
        {#each form.findings as code (code)}
          <li>
            <button
              type="button"
              class="min-h-9 rounded-sm border border-action bg-white px-2.5 text-sm text-action max-lg:min-h-11"
              onclick={() => drop(code)}
              >✓ {names.get(code) ?? code} <span class="text-quiet">take off</span></button
            >
          </li>
        {/each}
      </ul>
    {/if}
    <ComplaintReader
      text={form.says}
      family={form.family || null}
      known={new Set(form.findings)}
      onpress={(finding) => (form.findings = [...form.findings, finding.code])}
    />
  </div>
  <div class="grid grid-cols-2 items-start gap-4 md:grid-cols-4">
    <SumField label="Sells for, mended" bind:value={form.sells} error={work.error('sells')} />
    <SumField
      label="Without its feeder"
      bind:value={form.single}
      hint="single-material; empty where it has none"
      error={work.error('single')}
    />
    <SumField
      label="In parts"
      bind:value={form.parts}
      hint="from the own shelf unless typed"
      error={work.error('parts')}
    />
    <SumField label="To earn on the average" bind:value={form.margin} error={work.error('margin')} />
    <SumField label="Freight" bind:value={form.freight} error={work.error('freight')} />
    <SumField label="Selling it costs" bind:value={form.selling} error={work.error('selling')} />
    <Field label="What is missing" bind:value={form.missing} maxlength={300} error={work.error('missing')} />
    <SumField label="and costs" bind:value={form.missingCosts} error={work.error('missingCosts')} />
  </div>
  <div class="flex flex-wrap items-center gap-3">
    <Button busy={looking.busy} disabled={form.family === ''} onclick={look}
      >{form.stages.length > 0 ? 'Propose the tests anew' : 'Propose the tests'}</Button
    >
    <span class="text-sm text-quiet"
      >from what the seller says and what mends cost here; correct what you know better</span
    >
  </div>
  <Problem message={looking.leftover('family')} />
  {#each form.stages as stage, i (i)}
    <fieldset
      class="grid items-start gap-3 border-l-4 border-wash pl-4 md:grid-cols-[minmax(0,1fr)_8rem_7rem_9rem_8rem_auto]"
    >
      <legend class="sr-only">Test {i + 1}</legend>
      <Field
        label="Test {i + 1}"
        bind:value={stage.name}
        maxlength={120}
        error={work.error(`stages.${i}.name`)}
      />
      <SumField label="It takes" bind:value={stage.cost} error={work.error(`stages.${i}.cost`)} />
      <Field
        label="Passes"
        bind:value={stage.passesPct}
        numeric
        unit="/ 100"
        error={work.error(`stages.${i}.passesPct`)}
      />
      <SumField
        label="Fails: brings"
        bind:value={stage.fallback}
        error={work.error(`stages.${i}.fallback`)}
      />
      <Field label="as" bind:value={stage.end} maxlength={40} error={work.error(`stages.${i}.end`)} />
      <div class="pt-6">
        <Button
          kind="quiet"
          label="Take test {i + 1} off"
          onclick={() => (form.stages = form.stages.filter((_, k) => k !== i))}>Take off</Button
        >
      </div>
    </fieldset>
  {/each}
  {#if form.stages.length > 0 && form.stages.length < 12}<div>
      <Button
        kind="quiet"
        onclick={() =>
          (form.stages = [
            ...form.stages,
            { name: '', cost: '', passesPct: '90', fallback: form.parts, end: 'split' },
          ])}>One more test</Button
      >
    </div>{/if}
  {#if work.error('stages') && form.stages.length === 0}<Problem message={work.error('stages') ?? ''} />{/if}
  <Problem message={left} />
  {#if asks}
    <p class="text-waiting">▢ {asks}</p>
    <div><Button busy={work.busy} onclick={() => send(true)}>It is so: keep it</Button></div>
  {/if}
  <div class="flex gap-3">
    <Button kind="main" type="submit" busy={work.busy}>Keep the sheet</Button>
    {#if cancel}<Button kind="quiet" onclick={cancel}>Not now</Button>{/if}
  </div>
</Form>
