<script lang="ts">
  import { api, told } from '@/api/client';
  import type { Offer, PartPage } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { figure, whole } from '@/ui/figure';
  import { day, money } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import SumField from '@/ui/SumField.svelte';
  import { Work } from '@/ui/work.svelte';

  /** Where a part can be bought, and where it is. */
  let { page, keep }: { page: PartPage; keep: (page: PartPage) => void } = $props();

  const me = here();
  const work = new Work();
  let editing = $state(false);
  let supplier = $state('');
  let contact = $state('');
  let days = $state('');
  let theirs = $state('');
  let pack = $state('');
  let cost = $state('');

  function edit(offer: Offer | null): void {
    supplier = offer?.supplier ?? '';
    contact = offer && page.supply?.supplier === offer.supplier ? (page.supply.contact ?? '') : '';
    days = offer ? String(Math.round(offer.saysDays)) : '';
    theirs = offer?.number ?? '';
    pack = offer ? String(offer.pack) : '1';
    cost = offer ? (offer.packCostMinor / 100).toFixed(2) : '';
    editing = true;
  }

  async function put(body: Parameters<typeof send>[0]): Promise<void> {
    keep(await send(body));
  }
  const send = (body: {
    supplier: string;
    contact: string | null;
    leadDays: number;
    number: string | null;
    pack: number;
    packCostMinor: number;
    prefer?: boolean;
  }) => told(api.PUT('/parts/{number}/supply', { params: { path: { number: page.part.number } }, body }));

  const kept = () =>
    work.do(async () => {
      await put({
        supplier,
        contact: contact.trim() || null,
        leadDays: whole('leadDays', days),
        number: theirs.trim() || null,
        pack: whole('pack', pack),
        packCostMinor: Math.round(figure('packCostMinor', cost) * 100),
      });
      editing = false;
    });
  const prefer = (offer: Offer) =>
    work.do(() =>
      put({
        supplier: offer.supplier,
        contact: offer.contact,
        leadDays: offer.saysDays,
        number: offer.number,
        pack: offer.pack,
        packCostMinor: offer.packCostMinor,
        prefer: true,
      }),
    );
</script>

<h2 class="rule-below mt-6 pb-1.5">Bought from</h2>
<ul>
  {#each page.offers as offer (offer.supplier)}
    <li class="rule-below flex flex-wrap items-baseline justify-between gap-x-3 py-1.5">
      <span class="min-w-0">
        <span class={[offer.preferred && 'font-semibold']}>{offer.supplier}</span>
        <span class="text-quiet"
          >{offer.number ? `· ${offer.number} ` : ''}· {offer.pack === 1
            ? 'singly'
            : `${offer.pack} in a pack`},
          <span class="fig">{money(offer.packCostMinor, me.currency)}</span> · takes about
          <span class="fig">{offer.leadDays}</span> days</span
        >
        {#if offer.wasMinor !== null && offer.changedAt}
          <span class={['text-sm', offer.packCostMinor > offer.wasMinor ? 'text-out' : 'text-well']}
            >{offer.packCostMinor > offer.wasMinor ? '▲' : '▼'} was {money(offer.wasMinor, me.currency)} until
            {day(offer.changedAt, me.zone)}</span
          >
        {/if}
      </span>
      <span class="flex items-baseline gap-1">
        {#if offer.preferred}<span class="text-sm text-quiet">ordered here</span>
        {:else if me.person.keepsBooks}<Button kind="quiet" busy={work.busy} onclick={() => prefer(offer)}
            >Order here instead</Button
          >{/if}
        {#if me.person.keepsBooks}<Button kind="quiet" onclick={() => edit(offer)}>Change</Button>{/if}
      </span>
    </li>
  {:else}
    <li class="py-1.5 text-quiet">Nowhere yet, so nothing is said of when to order.</li>
  {/each}
</ul>
{#if !editing && work.refusal}<div class="mt-2"><Problem message={work.refusal.message} /></div>{/if}
{#if editing}
  <Form class="mt-2 grid max-w-xl gap-3 sm:grid-cols-2" onsend={() => kept()}>
    <Field label="Supplier" bind:value={supplier} maxlength={120} focus error={work.error('supplier')} />
    <Field label="How it is reached" bind:value={contact} maxlength={200} error={work.error('contact')} />
    <Field label="Takes, as it says" bind:value={days} numeric unit="days" error={work.error('leadDays')} />
    <Field label="Its number" bind:value={theirs} mono maxlength={60} error={work.error('number')} />
    <Field label="In a pack" bind:value={pack} numeric error={work.error('pack')} />
    <SumField label="A pack costs" bind:value={cost} error={work.error('packCostMinor')} />
    {#if work.refusal && work.refusal.errors.length === 0}<Problem message={work.refusal.message} />{/if}
    <div class="flex gap-2">
      <Button kind="main" type="submit" busy={work.busy}>So it is bought</Button>
      <Button kind="quiet" onclick={() => (editing = false)}>Not now</Button>
    </div>
  </Form>
{:else if me.person.keepsBooks}
  <Button kind="quiet" onclick={() => edit(null)}
    >{page.offers.length === 0 ? 'Say where…' : 'It is sold elsewhere too…'}</Button
  >
{/if}
