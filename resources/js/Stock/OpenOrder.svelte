<script lang="ts">
  import { api, Refusal, told } from '@/api/client';
  import type { Orders } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { day, money, number } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import SumField from '@/ui/SumField.svelte';
  import { Work } from '@/ui/work.svelte';

  /** An order on its way: what comes is put in its bin line by line. */
  let { order, may, keep }: { order: Orders['open'][number]; may: boolean; keep: (all: Orders) => void } =
    $props();

  const me = here();
  const work = new Work();
  let at = $state<number | null>(null);
  let quantity = $state('');
  let cost = $state('');
  let batch = $state('');
  let closing = $state(false);
  let because = $state('');
  const asks = $derived(work.error('more'));

  function open(line: Orders['open'][number]['lines'][number]): void {
    at = at === line.id ? null : line.id;
    quantity = String(line.open);
    cost = '';
    batch = '';
    work.refusal = null;
  }

  const receive = (line: number, more: boolean) =>
    work.do(async () => {
      const pieces = number(quantity);
      const paid = cost.trim() === '' ? null : number(cost);
      if (pieces === null || !Number.isInteger(pieces)) {
        const message = 'How many pieces came? A whole number.';
        throw new Refusal(422, message, [{ field: 'quantity', message }]);
      }
      const body = {
        quantity: pieces,
        packCostMinor: paid === null ? null : Math.round(paid * 100),
        moreIsRight: more,
        batch: batch.trim() || null,
      };
      keep(
        await told(
          api.POST('/orders/{order}/lines/{line}/receipts', {
            params: { path: { order: order.id, line } },
            body,
          }),
        ),
      );
      at = null;
    });
  const close = () =>
    work.do(async () => {
      keep(
        await told(
          api.POST('/orders/{order}/close', { params: { path: { order: order.id } }, body: { because } }),
        ),
      );
    });
</script>

<section class="mt-3" aria-label="Order {order.id}">
  <h3 class="flex flex-wrap items-baseline justify-between gap-x-3">
    <span><span class="fig">{order.id}</span> {order.supplier}</span>
    <span class="flex gap-3 text-sm font-normal text-quiet">
      <a class="underline" href="/files/orders/{order.id}.pdf" target="_blank">PDF</a>
      <a class="underline" href="/files/orders/{order.id}.csv" download>CSV</a>
    </span>
  </h3>
  <p class="text-sm text-quiet">
    {day(order.sentAt, me.zone)}, {order.by} · {money(order.totalMinor, me.currency)} ·
    {#if order.late}<span class="font-semibold text-out"
        >✕ late: was due {day(order.expectedAt, me.zone)}</span
      >{:else}due about {day(order.expectedAt, me.zone)}{/if}
  </p>
  <ul class="mt-1">
    {#each order.lines as line (line.id)}
      <li class="rule-below py-1 text-sm">
        <p class="flex items-center justify-between gap-2">
          <span class="min-w-0 break-words"
            >{line.name} <span class="text-quiet">bin <span class="fig">{line.bin}</span></span></span
          >
          {#if line.open === 0}<span class="whitespace-nowrap text-well">✓ all here</span>
          {:else if may}<button
              type="button"
              class="min-h-9 whitespace-nowrap font-semibold text-action underline"
              aria-label="Receive {line.name}"
              aria-expanded={at === line.id}
              onclick={() => open(line)}><span class="fig">{line.open}</span> to come</button
            >
          {:else}<span class="whitespace-nowrap"><span class="fig">{line.open}</span> to come</span>{/if}
        </p>
        {#if at === line.id}
          <Form class="my-2 flex flex-wrap items-end gap-2" onsend={() => receive(line.id, false)}>
            <div class="w-24">
              <Field label="Pieces" bind:value={quantity} numeric focus error={work.error('quantity')} />
            </div>
            <div class="w-40">
              <SumField
                label="A pack cost"
                bind:value={cost}
                hint="when not {money(line.packCostMinor, me.currency)}"
                error={work.error('packCostMinor')}
              />
            </div>
            <div class="w-36"><Field label="Batch, on the bag" bind:value={batch} mono maxlength={40} /></div>
            <Button kind="main" type="submit" busy={work.busy}>Into bin {line.bin}</Button>
            {#if asks}
              <p class="w-full text-waiting">▢ {asks}</p>
              <Button busy={work.busy} onclick={() => receive(line.id, true)}>So many came</Button>
            {/if}
          </Form>
        {/if}
      </li>
    {/each}
  </ul>
  {#if may}
    {#if closing}
      <Form class="mt-2 flex flex-wrap items-end gap-2" onsend={() => close()}>
        <div class="w-56">
          <Field
            label="Why nothing more comes"
            bind:value={because}
            maxlength={300}
            focus
            error={work.error('because')}
          />
        </div>
        <Button type="submit" busy={work.busy}>Close it</Button>
      </Form>
    {:else}<Button kind="quiet" onclick={() => (closing = true)}>The rest will not come…</Button>{/if}
  {/if}
  {#if work.refusal && !asks && !work.error('quantity') && !work.error('because')}<Problem
      message={work.refusal.message}
    />{/if}
</section>
