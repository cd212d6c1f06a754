<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, Refusal, told } from '@/api/client';
  import type { PartPage } from '@/api/types';
  import { here } from '@/Shop/session.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { money, number } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** Where a part is bought, what was asked for week by week, and when to order. */
  let { page }: { page: PartPage } = $props();

  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const it = $derived(page.supply);
  let editing = $state(false);
  let supplier = $state('');
  let contact = $state('');
  let days = $state('');
  let theirs = $state('');
  let pack = $state('');
  let cost = $state('');

  function edit(): void {
    supplier = it?.supplier ?? '';
    contact = it?.contact ?? '';
    days = it ? String(it.saysDays) : '';
    theirs = it?.number ?? '';
    pack = it ? String(it.pack) : '1';
    cost = it ? (it.packCostMinor / 100).toFixed(2) : '';
    editing = true;
  }

  const keep = () =>
    work.do(async () => {
      const figures = { leadDays: number(days), pack: number(pack), packCostMinor: number(cost) };
      for (const [field, figure] of Object.entries(figures)) {
        if (figure === null) throw new Refusal(422, 'Give a number.', [{ field, message: 'Give a number.' }]);
      }
      client.setQueryData(
        ['part', page.part.number],
        await told(
          api.PUT('/parts/{number}/supply', {
            params: { path: { number: page.part.number } },
            body: {
              supplier,
              contact: contact.trim() || null,
              leadDays: figures.leadDays ?? 0,
              number: theirs.trim() || null,
              pack: figures.pack ?? 1,
              packCostMinor: Math.round((figures.packCostMinor ?? 0) * 100),
            },
          }),
        ),
      );
      await client.invalidateQueries({ queryKey: ['parts'] });
      await client.invalidateQueries({ queryKey: ['orders'] });
      editing = false;
    });

  const most = $derived(Math.max(1, ...(it?.history ?? [])));
  const W = 520;
  const H = 60;
</script>

{#if it}
  <p class="mt-2 max-w-prose">{it.because}</p>
  <p class="text-sm text-quiet">
    <span class="fig">{it.reserved}</span> promised · <span class="fig">{it.onOrder}</span> on order ·
    <span class="fig">{it.demandPerWeek.toFixed(2)}</span> asked for in a week
  </p>
  <svg
    viewBox="0 0 {W} {H + 14}"
    class="mt-2 h-auto w-full max-w-2xl"
    role="img"
    aria-label="Taken week by week over {it.history.length} weeks, {it.history.reduce(
      (a, b) => a + b,
      0,
    )} in all"
  >
    {#each it.history as taken, week (week)}
      <rect
        x={(week * W) / it.history.length}
        width={Math.max(1, W / it.history.length - 1.5)}
        y={H - (taken / most) * (H - 4)}
        height={(taken / most) * (H - 4)}
        fill="#0f5661"
      />
    {/each}
    <line x1="0" x2={W} y1={H} y2={H} stroke="#5a6468" />
    <text x="0" y={H + 12} font-size="11" fill="#5a6468">{it.history.length} weeks ago</text>
    <text x={W} y={H + 12} text-anchor="end" font-size="11" fill="#5a6468">this week; most {most}</text>
  </svg>
{/if}
<h2 class="rule-below mt-5 pb-1.5">Bought from</h2>
{#if editing}
  <form
    class="mt-2 grid max-w-xl gap-3 sm:grid-cols-2"
    onsubmit={(event) => {
      event.preventDefault();
      void keep();
    }}
  >
    <Field label="Supplier" bind:value={supplier} maxlength={120} focus error={work.error('supplier')} />
    <Field label="How it is reached" bind:value={contact} maxlength={200} error={work.error('contact')} />
    <Field label="Takes, as it says" bind:value={days} numeric unit="days" error={work.error('leadDays')} />
    <Field label="Its number" bind:value={theirs} mono maxlength={60} error={work.error('number')} />
    <Field label="In a pack" bind:value={pack} numeric error={work.error('pack')} />
    <Field
      label="A pack costs"
      bind:value={cost}
      numeric
      unit={me.currency}
      error={work.error('packCostMinor')}
    />
    {#if work.refusal && work.refusal.errors.length === 0}<Problem message={work.refusal.message} />{/if}
    <div class="flex gap-2">
      <Button kind="main" type="submit" busy={work.busy}>So it is bought</Button>
      <Button kind="quiet" onclick={() => (editing = false)}>Not now</Button>
    </div>
  </form>
{:else}
  <p class="mt-2 flex flex-wrap items-baseline gap-x-3">
    {#if it}
      <span>
        {it.supplier}
        <span class="text-quiet"
          >{it.number ? `· ${it.number} ` : ''}· {it.pack === 1 ? 'singly' : `${it.pack} in a pack`},
          {money(it.packCostMinor, me.currency)} · says {it.saysDays} days, takes about
          <span class="fig">{it.leadDays}</span></span
        >
      </span>
    {:else}<span class="text-quiet">Nowhere yet, so nothing is said of when to order.</span>{/if}
    {#if me.person.meetsOwners}<Button kind="quiet" onclick={edit}>{it ? 'Change' : 'Say where…'}</Button
      >{/if}
  </p>
{/if}
