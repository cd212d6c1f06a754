<script lang="ts">
  import { api, told } from '@/api/client';
  import type { JobMoney } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import { p } from '@/router';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import Form from '@/ui/Form.svelte';
  import { day, money as sum } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import Select from '@/ui/Select.svelte';
  import SumField from '@/ui/SumField.svelte';
  import { Work } from '@/ui/work.svelte';
  import { typed, type Way, ways } from './sums';

  /** It is ready: the owner is told, and from that day it is known how long it stands. */
  let { money, keep }: { money: JobMoney; keep: (money: JobMoney) => void } = $props();

  const me = here();
  const work = new Work();
  let telling = $state(false);
  let way = $state<string>('phone');
  let text = $state('It is ready and can be fetched.');
  let freeDays = $state('');
  let perDay = $state('');

  const tell = () =>
    work.do(async () => {
      const body = {
        way: way as Way,
        text,
        freeDays: freeDays.trim() === '' ? null : Number(freeDays),
        perDay: typed(perDay),
      };
      keep(await told(api.POST('/jobs/{job}/ready', { params: { path: { job: money.job } }, body })));
      telling = false;
    });
</script>

{#if money.pickup || money.mayTellReady}
  <section aria-labelledby="pickup" class="mt-6">
    <h2 id="pickup" class="rule-below pb-1.5">Ready to be fetched</h2>
    {#if money.pickup}
      <p class="mt-2 text-sm">
        Told {day(`${money.pickup.readyOn}T12:00:00Z`, 'UTC')}: it stands
        <span class="fig">{money.pickup.stood}</span> days. {money.pickup.because}
        {money.pickup.law}
      </p>
      {#if money.pickup.storageMinor > 0}<p class="mt-1 text-sm">
          Storage <span class="fig">{sum(money.pickup.storageMinor, me.currency)}</span>
        </p>{/if}
      <p class="mt-1 text-sm">
        <a class="text-action underline" href={p('/not-fetched')}>Letters stand under Not fetched</a>
      </p>
    {:else if telling}
      <Form class="mt-2 grid gap-3" onsend={tell}>
        <Select label="How" bind:value={way} choices={ways} />
        <Field label="What is said" bind:value={text} rows={2} maxlength={4000} error={work.error('text')} />
        <div class="grid grid-cols-2 gap-3">
          <Field
            label="Stands for nothing"
            bind:value={freeDays}
            numeric
            unit="days"
            hint="empty: as the price list says"
            error={work.error('freeDays')}
          />
          <SumField label="then a day costs" bind:value={perDay} error={work.error('perDay')} />
        </div>
        <Problem message={work.leftover('text', 'freeDays', 'perDay')} />
        <div class="flex gap-3">
          <Button kind="main" type="submit" busy={work.busy}>The owner knows</Button>
          <Button kind="quiet" onclick={() => (telling = false)}>Not now</Button>
        </div>
      </Form>
    {:else}
      <div class="mt-2">
        <Button kind="main" onclick={() => (telling = true)}>Tell the owner it is ready…</Button>
      </div>
    {/if}
  </section>
{/if}
