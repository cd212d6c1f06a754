<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, told, wrong } from '@/api/client';
  import type { School } from '@/api/queries';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { number } from '@/ui/format';
  import Form from '@/ui/Form.svelte';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import Select from '@/ui/Select.svelte';
  import { Work } from '@/ui/work.svelte';

  /** What the shop has set; each with what it changes. */
  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const settings = createQuery(() => ({ queryKey: ['settings'], queryFn: () => told(api.GET('/settings')) }));
  let text = $state<Record<string, string>>({});
  let kept = $state(false);
  /** Each with what it changes, or what it is unless set. */
  const figures = [
    {
      field: 'benchMinuteMinor',
      label: 'A minute of hands costs',
      unit: null,
      hint: 'weighs looks against parts',
    },
    {
      field: 'orderMinutes',
      label: 'An order takes',
      unit: 'min',
      hint: 'write, watch, unpack; 12 unless set',
    },
    {
      field: 'holdingPct',
      label: 'A year in a bin costs',
      unit: '%',
      hint: 'of a part’s price; 20 unless set',
    },
    {
      field: 'servicePct',
      label: 'A part is there',
      unit: 'of 100',
      hint: 'times it is wanted, at least; 80 unless set',
    },
    {
      field: 'idleMinutes',
      label: 'A shared tablet locks',
      unit: 'min',
      hint: 'after so long a rest; 30 unless set',
    },
    { field: 'warrantyDays', label: 'A repair is stood for', unit: 'days', hint: '90 unless set' },
    { field: 'warrantyHours', label: 'or up to', unit: 'h', hint: 'print hours; 500 unless set' },
    {
      field: 'openMinutes',
      label: 'Opening a machine takes',
      unit: 'min',
      hint: 'out of its rack and back, proved; 12',
    },
    { field: 'findMinutes', label: 'Finding what failed takes', unit: 'min', hint: '30 unless set' },
    { field: 'downDays', label: 'A machine that failed stands', unit: 'days', hint: '2 unless set' },
    { field: 'ovens', label: 'Dryers', unit: null, plain: true, hint: 'for spools; 1 unless set' },
    { field: 'printHourMinor', label: 'An hour of printing brings', unit: null, hint: '1.20 unless set' },
  ];
  const left = $derived(
    work.leftover('shopName', 'zone', 'currency', 'school', 'nights', ...figures.map((one) => one.field)),
  );

  $effect(() => {
    const it = settings.data;
    if (!it) return;
    text = {
      shopName: it.shopName,
      zone: it.zone,
      currency: it.currency,
      benchMinuteMinor: (it.benchMinuteMinor / 100).toFixed(2),
      orderMinutes: String(it.orderMinutes),
      holdingPct: String(it.holdingPct),
      servicePct: String(it.servicePct),
      idleMinutes: String(it.idleMinutes),
      school: it.school,
      warrantyDays: String(it.warrantyDays),
      warrantyHours: String(it.warrantyHours),
      openMinutes: String(it.openMinutes),
      findMinutes: String(it.findMinutes),
      downDays: String(it.downDays),
      printHourMinor: (it.printHourMinor / 100).toFixed(2),
      ovens: String(it.ovens),
      nights: it.nights ? 'yes' : 'no',
    };
  });

  function whole(field: string): number {
    const value = number(text[field] ?? '');
    if (value === null) throw wrong(field, `“${text[field]}” is no number.`);
    return Math.round(field.endsWith('Minor') ? 100 * value : value);
  }

  async function send(): Promise<void> {
    kept = await work.do(async () => {
      const body = {
        shopName: text['shopName'] ?? '',
        zone: text['zone'] ?? '',
        currency: (text['currency'] ?? '').trim().toUpperCase(),
        benchMinuteMinor: whole('benchMinuteMinor'),
        orderMinutes: whole('orderMinutes'),
        holdingPct: whole('holdingPct'),
        servicePct: whole('servicePct'),
        idleMinutes: whole('idleMinutes'),
        school: (text['school'] ?? 'measure-first') as School,
        warrantyDays: whole('warrantyDays'),
        warrantyHours: whole('warrantyHours'),
        openMinutes: whole('openMinutes'),
        findMinutes: whole('findMinutes'),
        downDays: whole('downDays'),
        printHourMinor: whole('printHourMinor'),
        ovens: whole('ovens'),
        nights: text['nights'] === 'yes',
      };
      client.setQueryData(['settings'], await told(api.PUT('/settings', { body })));
      me.session = await told(api.GET('/session'));
      await client.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'settings' });
    });
  }
</script>

<section aria-labelledby="settings">
  <h2 id="settings" class="rule-below pb-1.5">Settings</h2>
  {#if settings.data}
    <Form class="mt-3 grid gap-4" onsend={send}>
      <Field
        label="Name of the shop"
        bind:value={text['shopName'] as string}
        maxlength={80}
        hint="stands on every sheet"
        error={work.error('shopName')}
      />
      <Select
        label="Where it is"
        bind:value={text['zone'] as string}
        choices={settings.data.zones.map((zone) => ({ code: zone, name: zone.replaceAll('_', ' ') }))}
        error={work.error('zone')}
        class="w-full"
      />
      <div class="grid grid-cols-2 gap-4">
        <Field
          label="Currency"
          bind:value={text['currency'] as string}
          mono
          maxlength={3}
          hint="of all prices; nothing is converted"
          error={work.error('currency')}
        />
        {#each figures as figure (figure.field)}
          <Field
            label={figure.label}
            bind:value={text[figure.field] as string}
            numeric
            unit={figure.plain ? '' : (figure.unit ?? me.currency)}
            hint={figure.hint}
            error={work.error(figure.field)}
          />
        {/each}
      </div>
      <Press
        label="At Find comes first"
        bind:value={() => text['school'] ?? '', (code) => (text['school'] = code)}
        choices={[
          { code: 'measure-first', name: 'Measure' },
          { code: 'swap-first', name: 'Swap' },
        ]}
        error={work.error('school')}
      />
      <Press
        label="When nobody is here"
        bind:value={() => text['nights'] ?? '', (code) => (text['nights'] = code)}
        choices={[
          { code: 'no', name: 'Everything is off' },
          { code: 'yes', name: 'What has earned it may run' },
        ]}
        error={work.error('nights')}
      />
      <p class="-mt-2 text-sm text-quiet">
        Earned: its heaters were seen to stop by themselves, it held its heat, it has printed. Local rules and
        your insurer come first.
      </p>
      <Problem message={left} />
      <div class="flex items-center gap-3">
        <Button kind="main" type="submit" busy={work.busy}>Keep</Button>
        {#if kept}<span class="text-sm font-semibold text-well" role="status">✓ kept</span>{/if}
      </div>
    </Form>
  {/if}
</section>
