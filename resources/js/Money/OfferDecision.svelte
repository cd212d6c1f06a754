<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import type { OfferPage } from '@/api/types';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import Form from '@/ui/Form.svelte';
  import Problem from '@/ui/Problem.svelte';
  import SumField from '@/ui/SumField.svelte';
  import { Work } from '@/ui/work.svelte';
  import { inField, typed } from './sums';

  /** Bought, booked in with what its seller said; or let go. */
  let { offer, keep }: { offer: OfferPage; keep: (offer: OfferPage) => void } = $props();

  const client = useQueryClient();
  const work = new Work();
  let doing = $state<'buy' | 'let-go' | null>(null);
  let paid = $state('');
  let serial = $state('');
  let because = $state('');
  const asks = $derived(work.error('overMost'));
  const path = $derived({ params: { path: { offer: offer.id } } });

  function begin(what: 'buy' | 'let-go'): void {
    doing = what;
    work.refusal = null;
    paid = inField(offer.askedMinor ?? Math.max(0, offer.mostMinor));
  }
  const buy = (overMost: boolean) =>
    work.do(async () => {
      const body = { paid, serial: typed(serial), overMost, version: offer.version };
      keep(await told(api.POST('/money/offers/{offer}/purchase', { ...path, body })));
      await client.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'offer' });
      doing = null;
    });
  const letGo = () =>
    work.do(async () => {
      keep(
        await told(
          api.POST('/money/offers/{offer}/let-go', { ...path, body: { because, version: offer.version } }),
        ),
      );
      await client.invalidateQueries({ queryKey: ['offers'] });
      doing = null;
    });
</script>

{#if doing === 'buy'}
  <Form class="mt-3 grid gap-3" onsend={() => buy(false)}>
    <SumField label="Paid" bind:value={paid} focus error={work.error('paid')} />
    <Field
      label="Serial"
      bind:value={serial}
      maxlength={60}
      mono
      hint="when it is at hand"
      error={work.error('serial')}
    />
    {#if asks}
      <p class="text-waiting">▢ {asks}</p>
      <div><Button busy={work.busy} onclick={() => buy(true)}>It is so: bought</Button></div>
    {/if}
    <Problem message={work.leftover('paid', 'serial', 'overMost')} />
    <div class="flex gap-3">
      <Button kind="main" type="submit" busy={work.busy}>Bought: book it in</Button>
      <Button kind="quiet" onclick={() => (doing = null)}>Not now</Button>
    </div>
  </Form>
{:else if doing === 'let-go'}
  <Form class="mt-3 grid gap-3" onsend={letGo}>
    <Field label="Why" bind:value={because} maxlength={300} focus error={work.error('because')} />
    <Problem message={work.leftover('because')} />
    <div class="flex gap-3">
      <Button kind="main" type="submit" busy={work.busy}>Let it go</Button>
      <Button kind="quiet" onclick={() => (doing = null)}>Not now</Button>
    </div>
  </Form>
{:else}
  <div class="mt-3 flex gap-3">
    <Button kind="main" onclick={() => begin('buy')}>Bought it…</Button>
    <Button onclick={() => begin('let-go')}>Let it go…</Button>
  </div>
{/if}
