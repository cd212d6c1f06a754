<script lang="ts">
  import { api, Refusal, told } from '@/api/client';
  import type { Orders } from '@/api/types';
  import { p } from '@/router';
  import { here } from '@/api/session.svelte';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import { money, number } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import Tag from '@/ui/Tag.svelte';
  import { Work } from '@/ui/work.svelte';

  /** What one supplier is asked for; packs can be changed before it is sent. */
  let {
    proposal,
    may,
    keep,
  }: { proposal: Orders['proposals'][number]; may: boolean; keep: (all: Orders) => void } = $props();

  const me = here();
  const work = new Work();
  let typed = $state<Record<string, string>>({});
  let opened = $state('');

  const packsOf = (part: string, proposed: number): number | null => {
    const text = typed[part];
    if (text === undefined) return proposed;
    const figure = number(text);
    return figure !== null && Number.isInteger(figure) && figure >= 0 ? figure : null;
  };
  // what somebody adds though nothing says that it is due
  let added = $state<typeof proposal.lines>([]);
  let more = $state('');
  const lines = $derived([
    ...proposal.lines,
    ...added.filter((one) => !proposal.lines.some((line) => line.part === one.part)),
  ]);
  const goods = $derived(
    lines.reduce((sum, line) => sum + (packsOf(line.part, line.packs) ?? 0) * line.packCostMinor, 0),
  );
  const short = $derived(Math.max(0, proposal.minimumMinor - goods));
  const risk = (share: number): string =>
    share < 0.001 ? '<0.1' : (100 * share).toFixed(share < 0.1 ? 1 : 0);

  const send = (lessIsRight: boolean) =>
    work.do(async () => {
      const packs: Record<string, number> = {};
      for (const line of lines) {
        const count = packsOf(line.part, line.packs);
        if (count === null) {
          const message = `${line.name}: “${typed[line.part] ?? ''}” is no number of packs.`;
          throw new Refusal(422, message, [{ field: 'packs', message }]);
        }
        packs[line.part] = count;
      }
      keep(await told(api.POST('/orders', { body: { supplier: proposal.supplier, packs, lessIsRight } })));
      typed = {};
      added = [];
    });
  const add = () =>
    work.do(async () => {
      const page = await told(api.GET('/parts/{number}', { params: { path: { number: more.trim() } } }));
      const offer = page.offers.find((one) => one.supplier === proposal.name);
      if (!offer) {
        const message = `${page.part.name} is not sold by ${proposal.name}, as far as its page says.`;
        throw new Refusal(422, message, [{ field: 'part', message }]);
      }
      added = [
        ...added.filter((one) => one.part !== page.part.number),
        {
          part: page.part.number,
          name: page.part.name,
          suppliersNumber: offer.number,
          packs: 1,
          pack: offer.pack,
          packCostMinor: offer.packCostMinor,
          wasMinor: offer.wasMinor,
          free: page.supply?.free ?? page.part.onHand,
          reorderPoint: page.supply?.reorderPoint ?? 0,
          risk: page.supply?.risk ?? 0,
          coverWeeks: page.part.coverWeeks,
          because: 'You added it.',
          last: null,
          waiting: [],
        },
      ];
      more = '';
    });
</script>

<section class="mt-4" aria-label="To order from {proposal.name}">
  <h2 class="rule-below flex flex-wrap items-baseline justify-between gap-x-4 pb-1.5">
    <span
      >{proposal.name}
      <span class="ml-1 text-sm font-normal text-quiet"
        >takes about <span class="fig">{proposal.leadDays}</span> days{proposal.contact
          ? ` · ${proposal.contact}`
          : ''}</span
      ></span
    >
    <span class="text-sm font-normal"
      ><span class="fig">{money(goods, me.currency)}</span>
      {#if proposal.freightMinor > 0}<span class="text-quiet"
          >and {money(proposal.freightMinor, me.currency)} freight</span
        >{/if}</span
    >
  </h2>
  <ul>
    {#each lines as line (line.part)}
      <li class="rule-below grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 py-1.5">
        <div class="min-w-0">
          <p class="leading-tight">
            <a
              class="font-semibold hover:underline"
              href={p('/shelf/:number', { params: { number: line.part } })}>{line.name}</a
            >
            {#each line.waiting as tag (tag)}<span class="ml-1"><Tag {tag} /></span>{/each}
            {#if line.waiting.length > 0}<span class="text-sm text-waiting">▢ wait for it</span>{/if}
          </p>
          <p class="text-sm text-quiet">
            <span class="fig">{line.free}</span> free, order at
            <span class="fig">{line.reorderPoint}</span> · runs out with
            <span class={['fig', line.risk > 0.3 && 'text-out']}>{risk(line.risk)}</span> %
            <button
              type="button"
              class="min-h-9 underline decoration-line hover:decoration-ink"
              aria-expanded={opened === line.part}
              onclick={() => (opened = opened === line.part ? '' : line.part)}>why</button
            >
          </p>
          {#if line.last}<p class="text-sm text-waiting">▢ {line.last}</p>{/if}
          {#if opened === line.part}<p class="max-w-prose text-sm">{line.because}</p>{/if}
        </div>
        <label class="flex items-center gap-1.5 text-sm text-quiet">
          <input
            class="field fig w-16 text-right"
            inputmode="numeric"
            aria-label="Packs of {line.name}"
            disabled={!may}
            value={typed[line.part] ?? String(line.packs)}
            oninput={(event) => (typed[line.part] = event.currentTarget.value)}
          />
          <span class="w-28"
            >× {line.pack === 1 ? 'one' : line.pack}, {money(line.packCostMinor, me.currency)}
            {#if line.wasMinor !== null && line.wasMinor !== line.packCostMinor}<span
                class={['block', line.packCostMinor > line.wasMinor ? 'text-out' : 'text-well']}
                >{line.packCostMinor > line.wasMinor ? '▲' : '▼'} was {money(
                  line.wasMinor,
                  me.currency,
                )}</span
              >{/if}</span
          >
        </label>
      </li>
    {/each}
  </ul>
  {#if short > 0}<p class="mt-2 text-sm text-waiting">
      ▢ {money(short, me.currency)} short of what {proposal.name} sends for; order more, or wait until more is due.
    </p>{/if}
  {#if proposal.more > 0}<p class="mt-2 text-sm text-quiet">
      <span class="fig">{proposal.more}</span> more are due; they stand here when these are ordered.
    </p>{/if}
  {#if work.refusal && !work.error('minimum')}<div class="mt-2">
      <Problem message={work.refusal.message} />
    </div>{/if}
  {#if work.error('minimum')}<p class="mt-2 text-waiting">▢ {work.error('minimum')}</p>{/if}
  {#if may}<div class="mt-2 flex flex-wrap items-center gap-x-3 gap-y-2">
      <Button kind="main" busy={work.busy} onclick={() => send(false)}>Order from {proposal.name}</Button>
      {#if work.error('minimum')}<Button busy={work.busy} onclick={() => send(true)}
          >It goes out all the same</Button
        >{/if}
      <Form class="ml-auto flex items-center gap-2" onsend={() => add()}>
        <input
          class="field fig w-36"
          bind:value={more}
          maxlength={30}
          placeholder="part number"
          aria-label="Add a part to the order from {proposal.name}"
        />
        <Button type="submit" busy={work.busy}>Add it</Button>
      </Form>
    </div>{/if}
</section>
