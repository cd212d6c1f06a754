<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, Refusal, told } from '@/api/client';
  import { partQuery } from '@/api/queries';
  import { p, route } from '@/router';
  import { here } from '@/Shop/session.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { clock, day, money, number as asNumber } from '@/ui/format';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import Tag from '@/ui/Tag.svelte';
  import { Work } from '@/ui/work.svelte';
  import Bought from './Bought.svelte';

  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const number = $derived((route.params as Record<string, string>)['number'] ?? '');
  const part = createQuery(() => partQuery(number));

  let kind = $state<'received' | 'counted' | 'scrapped'>('received');
  let quantity = $state('');
  let cost = $state('');
  let note = $state('');

  const words = {
    received: 'received',
    used: 'used',
    returned: 'put back',
    counted: 'counted',
    scrapped: 'scrapped',
  } as const;

  async function move(): Promise<void> {
    const count = asNumber(quantity);
    const price = asNumber(cost);
    const done = await work.do(async () => {
      const wrong = (field: string, message: string) => new Refusal(422, message, [{ field, message }]);
      if (count === null || !Number.isInteger(count)) throw wrong('quantity', 'How many? A whole number.');
      if (kind === 'received' && price === null) throw wrong('unitCostMinor', 'What did one cost?');
      const body = {
        kind,
        quantity: count,
        note: note || null,
        unitCostMinor: kind === 'received' && price !== null ? Math.round(price * 100) : null,
      };
      client.setQueryData(
        ['part', number],
        await told(api.POST('/parts/{number}/movements', { params: { path: { number } }, body })),
      );
      await client.invalidateQueries({ queryKey: ['parts'] });
    });
    if (done) quantity = cost = note = '';
  }
</script>

<svelte:head><title>{part.data?.part.name ?? 'Part'} · Odd Bench</title></svelte:head>

{#if part.data}
  {@const it = part.data.part}
  <main class="grid lg:min-h-[calc(100vh-7.6rem)] lg:grid-cols-[minmax(0,1fr)_350px]">
    <div class="min-w-0 px-4 py-4 md:px-5">
      <p class="text-sm"><a class="text-quiet underline" href={p('/shelf')}>Shelf</a></p>
      <h1 class="mt-1 break-words">{it.name}</h1>
      <p class="text-quiet">
        {it.className} · <span class="fig">{it.number}</span> · bin <span class="fig">{it.bin}</span>
      </p>
      <p class="mt-3 text-lg">
        <span class="fig font-semibold">{it.onHand}</span> on hand
        <span class="text-quiet">· worth <span class="fig">{money(it.valueMinor, me.currency)}</span></span>
      </p>
      <Bought page={part.data} />
      <h2 class="rule-below mt-5 pb-1.5">Movements</h2>
      <table class="w-full">
        <tbody>
          {#each part.data.movements as movement (movement.id)}
            <tr class="rule-below align-baseline">
              <td class="w-14 py-2 text-right"
                ><span class={['fig font-semibold', movement.quantity > 0 ? 'text-well' : '']}
                  >{movement.quantity > 0 ? '+' : '−'}{Math.abs(movement.quantity)}</span
                ></td
              >
              <td class="pl-4"
                >{words[movement.kind]}{movement.undone ? ', put back later' : ''}
                {#if movement.machine && movement.job !== null}<a
                    href={p('/jobs/:id', { params: { id: String(movement.job) } })}
                    class="ml-1"><Tag tag={movement.machine} /></a
                  >{/if}
                {#if movement.note}<span class="text-sm text-quiet">{movement.note}</span>{/if}</td
              >
              <td class="fig text-right text-quiet max-md:hidden"
                >{money(movement.valueMinor, me.currency)}</td
              >
              <td class="pl-4 text-right text-sm text-quiet"
                >{movement.by}, {day(movement.at, me.zone)} {clock(movement.at, me.zone)}</td
              >
            </tr>
          {:else}
            <tr
              ><td class="py-2 text-quiet">Nothing has moved yet. Receive the first ones on the right.</td
              ></tr
            >
          {/each}
        </tbody>
      </table>
    </div>
    <aside class="border-line bg-side px-5 py-4 max-lg:border-t lg:border-l">
      {#if me.person.meetsOwners}
        <h2>Move stock</h2>
        <form
          class="mt-2 grid gap-4"
          onsubmit={(event) => {
            event.preventDefault();
            void move();
          }}
        >
          <Press
            label="What happens"
            bind:value={kind}
            choices={[
              { code: 'received', name: 'Receive' },
              { code: 'counted', name: 'Count the bin' },
              { code: 'scrapped', name: 'Scrap' },
            ]}
          />
          <Field
            label={kind === 'counted' ? 'How many are there' : 'How many'}
            bind:value={quantity}
            numeric
            error={work.error('quantity')}
          />
          {#if kind === 'received'}<Field
              label="Cost of one"
              bind:value={cost}
              numeric
              unit={me.currency}
              error={work.error('unitCostMinor')}
            />{/if}
          <Field label="Note" bind:value={note} maxlength={200} />
          {#if work.refusal && !work.error('quantity') && !work.error('unitCostMinor')}<Problem
              message={work.refusal.message}
            />{/if}
          <div>
            <Button kind="main" type="submit" busy={work.busy}
              >{kind === 'received'
                ? 'Put in bin'
                : kind === 'counted'
                  ? 'So many are there'
                  : 'Scrap them'}</Button
            >
          </div>
        </form>
      {:else}
        <p class="text-quiet">Your role only looks.</p>
      {/if}
    </aside>
  </main>
{:else if part.isError}
  <main class="p-8">
    <h1>Not found</h1>
    <p class="mt-2">{part.error.message}</p>
  </main>
{:else}
  <p class="p-8 text-quiet" role="status">Fetching the part…</p>
{/if}
