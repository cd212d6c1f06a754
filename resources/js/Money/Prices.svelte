<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import Check from '@/ui/Check.svelte';
  import Field from '@/ui/Field.svelte';
  import { figure, whole } from '@/ui/figure';
  import Form from '@/ui/Form.svelte';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import SumField from '@/ui/SumField.svelte';
  import { Work } from '@/ui/work.svelte';
  import LedgerPage from './LedgerPage.svelte';
  import { inField } from './sums';

  /** What the shop asks for its work, and how it reckons with what it buys; a lead changes it. */
  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const terms = createQuery(() => ({ queryKey: ['terms'], queryFn: () => told(api.GET('/money/terms')) }));
  let text = $state<Record<string, string>>({});
  let school = $state<'relative-worth' | 'residual'>('relative-worth');
  let partsClaims = $state(true);
  let kept = $state(false);
  const fields = [
    { key: 'minute', label: 'A minute of hands is charged at', hint: 'to owners; what it costs the shop is a setting of its own' },
    { key: 'minimum', label: 'The least that is charged', hint: 'for a job, before tax' },
    { key: 'storageDay', label: 'A day of storage', hint: 'after the free ones, as agreed' },
    { key: 'margin', label: 'To earn on a machine bought', hint: 'on the average' },
    { key: 'selling', label: 'Selling one costs', hint: 'a notice, a box, the talk' },
    { key: 'idleDay', label: 'A day that a machine stands', hint: 'weighs waiting for a claim' },
  ]; // prettier-ignore
  const figures = [
    { key: 'markupPct', label: 'On parts', unit: '%', hint: 'over what they cost' },
    { key: 'taxPct', label: 'Tax', unit: '%', hint: 'on the whole; 0 for none' },
    { key: 'freeDays', label: 'A machine that is ready stands for nothing', unit: 'days', hint: '' },
  ];

  $effect(() => {
    const it = terms.data;
    if (!it) return;
    text = {
      minute: inField(it.minuteMinor),
      minimum: inField(it.minimumMinor),
      storageDay: inField(it.storageDayMinor),
      margin: inField(it.marginMinor),
      selling: inField(it.sellingMinor),
      idleDay: inField(it.idleDayMinor),
      markupPct: String(it.markupPct),
      taxPct: String(it.taxPct),
      freeDays: String(it.freeDays),
    };
    school = it.residual ? 'residual' : 'relative-worth';
    partsClaims = it.partsClaims;
  });
  const send = async (): Promise<void> => {
    kept = await work.do(async () => {
      const of = (key: string): string => text[key] ?? '';
      const body = {
        minute: of('minute'),
        minimum: of('minimum'),
        storageDay: of('storageDay'),
        margin: of('margin'),
        selling: of('selling'),
        idleDay: of('idleDay'),
        markupPct: figure('markupPct', of('markupPct'), 'Give a number; 0 for none.'),
        taxPct: figure('taxPct', of('taxPct'), 'Give a number; 0 for none.'),
        freeDays: whole('freeDays', of('freeDays'), 'How many days? A whole number.'),
        residual: school === 'residual',
        partsClaims,
      };
      client.setQueryData(['terms'], await told(api.PUT('/money/terms', { body })));
      await client.invalidateQueries({ queryKey: ['job-money'] });
    });
  };
</script>

<LedgerPage title="Prices and terms" query={terms} waiting="Fetching the price list…">
  {#snippet heading()}<h1>Prices and terms</h1>{/snippet}
  <Form class="mt-3 grid max-w-3xl gap-4" onsend={send}>
    <div class="grid items-start gap-4 sm:grid-cols-2">
      {#each fields as field (field.key)}
        <SumField
          label={field.label}
          bind:value={text[field.key] as string}
          hint={field.hint}
          error={work.error(field.key)}
        />
      {/each}
      {#each figures as field (field.key)}
        <Field
          label={field.label}
          bind:value={text[field.key] as string}
          numeric
          unit={field.unit}
          hint={field.hint}
          error={work.error(field.key)}
        />
      {/each}
    </div>
    <Press
      label="What a piece of a lot cost"
      bind:value={school}
      choices={[
        { code: 'relative-worth', name: 'by what each is worth' },
        { code: 'residual', name: 'what is left after the first sale' },
      ]}
    />
    <Check bind:checked={partsClaims}
      >Parts that are claimed are fitted here; the machine does not wait for them</Check
    >
    <Problem message={work.leftover(...Object.keys(text))} />
    {#if me.person.isLead}<div class="flex items-center gap-3">
        <Button kind="main" type="submit" busy={work.busy}>Keep</Button>
        {#if kept}<span class="text-sm font-semibold text-well" role="status">✓ kept</span>{/if}
      </div>{:else}<p class="text-sm text-quiet">A lead changes these.</p>{/if}
  </Form>
</LedgerPage>
