<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import type { JobMoney } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import { Signature, Signs } from '@/Shop';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import Form from '@/ui/Form.svelte';
  import { hours, money as sum, percent } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import SumField from '@/ui/SumField.svelte';
  import { Work } from '@/ui/work.svelte';
  import { inField, typed } from './sums';

  /** Mend, split, sell as it is: what each brings, and where the answer turns. */
  let {
    money,
    keep,
    version,
    open,
  }: { money: JobMoney; keep: (money: JobMoney) => void; version: number; open: boolean } = $props();

  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const split = new Work();
  const signs = new Signs(me);
  const worth = $derived(money.worth);
  let sellsAt = $state('');
  let asIs = $state('');
  let pieces = $state(false);
  let splitting = $state(false);
  let soldName = $state('');
  let soldSum = $state('');
  let note = $state('');
  const ways = $derived([
    { code: 'mend', name: 'Mend it', brings: worth.mendMinor },
    { code: 'split', name: 'Split it for parts', brings: worth.donorMinor },
    { code: 'as_is', name: 'Sell it as it is', brings: worth.asIsMinor ?? 0 },
  ]);
  const most = $derived(Math.max(1, ...ways.map((way) => Math.abs(way.brings ?? 0))));

  $effect(() => {
    sellsAt = inField(worth.sellsMinor);
    asIs = inField(worth.asIsMinor);
  });
  const ask = () =>
    work.do(async () => {
      const [sells, as] = [typed(sellsAt), typed(asIs)];
      const query = { ...(sells === null ? {} : { sellsAt: sells }), ...(as === null ? {} : { asIs: as }) };
      keep(await told(api.GET('/jobs/{job}/money', { params: { path: { job: money.job }, query } })));
    });
  const writeOff = () =>
    split.do(async () => {
      const body = {
        version,
        note: typed(note),
        ...signs.body(),
        sold: soldName.trim() === '' ? [] : [{ name: soldName.trim(), sum: soldSum.trim() }],
      };
      keep(await told(api.POST('/jobs/{job}/split', { params: { path: { job: money.job } }, body })));
      await client.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'job-money' });
      splitting = false;
    });
</script>

<section aria-labelledby="worth">
  <h2 id="worth">Worth mending?</h2>
  <p class="mt-1 font-semibold">
    {#if worth.best}<span class={worth.best === 'mend' ? 'text-well' : 'text-out'}
        >{worth.best === 'mend' ? '✓' : '✕'} {worth.bestWords}.</span
      >{/if}
  </p>
  <p class="text-sm">{worth.because}</p>
  <dl class="mt-2 grid grid-cols-[auto_minmax(0,1fr)_auto] items-center gap-x-3 gap-y-1.5 text-sm">
    {#each ways as way (way.code)}
      <dt class={worth.best === way.code ? 'font-semibold' : ''}>{way.name}</dt>
      <dd class="h-3 bg-side" aria-hidden="true">
        <span
          class={[
            'block h-3',
            (way.brings ?? 0) < 0 ? 'bg-out' : worth.best === way.code ? 'bg-action' : 'bg-steel-worn',
          ]}
          style="width: {(100 * Math.abs(way.brings ?? 0)) / most}%"
        ></span>
      </dd>
      <dd class="fig text-right">{way.brings === null ? '?' : sum(way.brings, me.currency)}</dd>
    {/each}
  </dl>
  <dl class="mt-2 grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 text-sm">
    {#if worth.furtherMinor !== null}
      <dt class="text-quiet">
        {worth.furtherIsNextVisit
          ? 'Another visit, as its last ones'
          : worth.furtherIsCharged
            ? 'Still to be charged, proofs in'
            : 'Still to come, proofs in'}
      </dt>
      <dd class="fig text-right">{sum(worth.furtherMinor, me.currency)}</dd>
    {/if}
    {#if worth.flipsAtMinor !== null}
      <dt class="text-quiet">The answer turns at</dt>
      <dd class="fig text-right">{sum(worth.flipsAtMinor, me.currency)}</dd>
    {/if}
    <dt class="text-quiet">A mend holds in</dt>
    <dd class="text-right"><span class="fig">{percent(worth.chance)}</span> of 100</dd>
  </dl>
  {#if worth.holdsNot}<p class="mt-1 text-sm text-waiting">It does not hold: {worth.holdsNot}</p>{/if}
  <Form class="mt-2 grid grid-cols-2 items-start gap-3" onsend={ask}>
    <SumField
      label="It sells for, mended"
      bind:value={sellsAt}
      hint={worth.sellsFrom ?? 'nobody knows yet'}
      error={work.error('sellsAt')}
    />
    <SumField label="As it is" bind:value={asIs} hint="empty: nobody would" error={work.error('asIs')} />
    <div class="col-span-2"><Button type="submit" busy={work.busy}>Reckon with these</Button></div>
  </Form>
  <p class="mt-3 text-sm">{worth.donorSure}</p>
  <button
    type="button"
    class="min-h-9 text-sm text-action underline max-lg:min-h-11"
    aria-expanded={pieces}
    onclick={() => (pieces = !pieces)}>{pieces ? 'Fold away' : 'What its parts are worth'}</button
  >
  {#if pieces}
    <table class="mt-1 w-full text-sm">
      <thead>
        <tr class="text-left text-quiet">
          <th class="py-1 font-normal">Part</th>
          <th class="px-1 text-right font-normal">asked, 2 y</th>
          <th class="px-1 text-right font-normal">run</th>
          <th class="pl-1 text-right font-normal">worth</th>
        </tr>
      </thead>
      <tbody>
        {#each worth.pieces as piece (piece.position)}
          <tr class="border-t border-line">
            <td class="py-0.5">{piece.name}</td>
            <td class="fig px-1 text-right">{piece.askedTwoYears}</td>
            <td class="px-1 text-right whitespace-nowrap"
              ><span class="fig">{hours(piece.runH)}</span> <span class="text-quiet">h</span></td
            >
            <td class="fig pl-1 text-right">{sum(piece.worthMinor, me.currency)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
    <p class="mt-1 text-sm text-quiet">
      A new one’s price, less the life it has run, times how likely one more is asked for within a year, less
      six minutes to take it out. What nobody asked for in two years is worth its scrap.
    </p>
  {/if}
  {#if open && me.person.meetsOwners}
    {#if splitting}
      <Form class="mt-3 grid gap-3 border-l-4 border-wash pl-4" onsend={writeOff}>
        <p class="text-sm">
          It goes to the donor shelf and this job ends. What was paid for it is spread over what is in it.
        </p>
        <Field label="Why" bind:value={note} maxlength={1000} focus error={split.error('note')} />
        <div class="grid grid-cols-2 gap-3">
          <Field
            label="Sold apart already"
            bind:value={soldName}
            maxlength={160}
            hint="such as its feeder; empty for nothing"
          />
          <SumField label="for" bind:value={soldSum} error={split.error('sold')} />
        </div>
        <Signature {signs} error={split.error('pin')} />
        <Problem message={split.leftover('note', 'sold', 'pin')} />
        <div class="flex gap-3">
          <Button kind="red" type="submit" busy={split.busy}>Split it</Button>
          <Button kind="quiet" onclick={() => (splitting = false)}>Not now</Button>
        </div>
      </Form>
    {:else}<div class="mt-2">
        <Button onclick={() => (splitting = true)}>Write it off: split it…</Button>
      </div>{/if}
  {/if}
</section>
