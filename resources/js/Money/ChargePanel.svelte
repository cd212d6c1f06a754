<script lang="ts">
  import { api, told } from '@/api/client';
  import type { JobMoney } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { figure } from '@/ui/figure';
  import Form from '@/ui/Form.svelte';
  import { day, money as sum } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import SumField from '@/ui/SumField.svelte';
  import { Work } from '@/ui/work.svelte';
  import { inField, typed } from './sums';

  /** What was worked and used, as it is charged; written once. */
  let { money, keep, mayBill }: { money: JobMoney; keep: (money: JobMoney) => void; mayBill: boolean } =
    $props();

  const me = here();
  const work = new Work();
  const charge = $derived(money.charge);
  let minutesOut = $state('');
  let freight = $state('');
  let freeBecause = $state('');
  const asks = $derived(work.error('overAgreed'));
  const left = $derived(work.leftover('minutesOut', 'freight', 'freeBecause', 'overAgreed'));

  $effect(() => {
    minutesOut = String(charge.minutesOut);
    freight = inField(charge.freightMinor);
    freeBecause = charge.freeBecause ?? '';
  });
  const bill = (overAgreed: boolean) =>
    work.do(async () => {
      const body = {
        minutesOut: minutesOut.trim() === '' ? 0 : figure('minutesOut', minutesOut),
        freight: typed(freight),
        freeBecause: typed(freeBecause),
        overAgreed,
      };
      keep(await told(api.POST('/jobs/{job}/bill', { params: { path: { job: money.job } }, body })));
    });
</script>

{#snippet row(what: string, minor: number, strong = false)}
  <div class={['flex justify-between gap-4 border-t border-line py-1', strong && 'font-bold']}>
    <span class="min-w-0 break-words">{what}</span><span class="fig whitespace-nowrap"
      >{sum(minor, me.currency)}</span
    >
  </div>
{/snippet}

<section aria-labelledby="charge">
  <h2 id="charge" class="rule-below pb-1.5">What is charged</h2>
  {#if money.bill}
    <p class="mt-2 flex flex-wrap items-baseline gap-x-3">
      <span class="font-semibold">Bill <span class="fig">{money.bill.number}</span></span>
      <span class="text-sm text-quiet">{day(money.bill.at, me.zone)}, {money.bill.by}</span>
      <a class="text-sm text-action underline" href="/files/jobs/{money.job}/bill.pdf" target="_blank">PDF</a>
    </p>
    <div class="mt-1 max-w-xl text-sm">
      {#each money.bill.lines as line, i (i)}{@render row(line.what, line.minor)}{/each}
      {#if money.bill.freeBecause}<p class="border-t border-line py-1 text-waiting">
          ▢ Not charged: {money.bill.freeBecause}
        </p>{/if}
      {@render row('Net', money.bill.netMinor)}
      {#if money.bill.taxPct > 0}{@render row(`Tax, ${money.bill.taxPct} %`, money.bill.taxMinor)}{/if}
      {@render row('To pay', money.bill.grossMinor, true)}
    </div>
  {:else}
    <div class="mt-2 max-w-xl text-sm">
      {#each charge.hands as hand, i (i)}
        <p class="flex justify-between gap-4 py-0.5 text-quiet">
          <span>{hand.station}, {hand.person}</span><span><span class="fig">{hand.minutes}</span> min</span>
        </p>
      {:else}
        <p class="text-quiet">No hands were on it yet.</p>
      {/each}
      {#each charge.learning as first, i (i)}
        <p class="py-0.5 text-waiting">
          ▢ First time: {first.person}, “{first.guide}” took <span class="fig">{first.minutes}</span> min longer
          than practised; left out.
        </p>
      {/each}
      {@render row('Hands', charge.handsMinor)}
      {#each charge.parts as part, i (i)}{@render row(part.what, part.priceMinor)}{/each}
      {#if charge.freightMinor > 0}{@render row('Freight, its share', charge.freightMinor)}{/if}
      {#if charge.minimumHeld}<p class="border-t border-line py-1 text-quiet">
          The least that is charged holds.
        </p>{/if}
      {@render row('Net', charge.netMinor)}
      {#if charge.taxPct > 0}{@render row(`Tax, ${charge.taxPct} %`, charge.taxMinor)}{/if}
      {@render row('So far', charge.grossMinor, true)}
      {#if charge.freeBecause}<p class="py-1 text-waiting">▢ {charge.freeBecause}</p>{/if}
      {#if money.leftMinor !== null}<p class={['py-1', money.leftMinor < 0 ? 'text-out' : 'text-well']}>
          {money.leftMinor < 0
            ? `✕ ${sum(-money.leftMinor, me.currency)} over what its owner allowed`
            : `✓ ${sum(money.leftMinor, me.currency)} left of what its owner allowed`}
        </p>{/if}
    </div>
    {#if money.heldAs === 'owner' && mayBill}
      <Form class="mt-3 grid max-w-xl gap-3" onsend={() => bill(false)}>
        <div class="grid grid-cols-2 gap-3">
          <Field
            label="Minutes left out"
            bind:value={minutesOut}
            numeric
            unit="min"
            hint="learning, practice"
            error={work.error('minutesOut')}
          />
          <SumField label="Freight" bind:value={freight} error={work.error('freight')} />
        </div>
        <Field
          label="Not charged, because"
          bind:value={freeBecause}
          maxlength={300}
          hint="a comeback, our own mistake; empty: it is charged"
          error={work.error('freeBecause')}
        />
        {#if asks}
          <p class="text-waiting">▢ {asks}</p>
          <div>
            <Button busy={work.busy} onclick={() => bill(true)}>It was talked about: write the bill</Button>
          </div>
        {/if}
        <Problem message={left} />
        <div><Button kind="main" type="submit" busy={work.busy}>Write the bill</Button></div>
      </Form>
    {:else if money.heldAs === 'owner'}<p class="mt-2 text-sm text-quiet">
        The bill is written when the job stands at Send out.
      </p>{/if}
  {/if}
</section>
