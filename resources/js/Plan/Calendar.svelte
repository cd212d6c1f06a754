<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { here } from '@/api/session.svelte';
  import { p } from '@/router';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import Form from '@/ui/Form.svelte';
  import Problem from '@/ui/Problem.svelte';
  import Select from '@/ui/Select.svelte';
  import { Work } from '@/ui/work.svelte';
  import BenchPlaces from './BenchPlaces.svelte';
  import WeekHours from './WeekHours.svelte';

  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const calendar = createQuery(() => ({
    queryKey: ['calendar'],
    queryFn: () => told(api.GET('/plan/calendar')),
  }));
  let who = $state('');
  let first = $state('');
  let last = $state('');
  let why = $state('');
  let address = $state<string | null>(null);
  $effect(() => {
    if (who === '') who = me.person.isLead ? 'shop' : String(me.person.id);
  });
  const whose = $derived(
    me.person.isLead
      ? [
          { code: 'shop', name: 'The shop is shut' },
          ...(calendar.data?.people ?? []).map((one) => ({ code: String(one.id), name: one.name })),
        ]
      : [{ code: String(me.person.id), name: me.person.name }],
  );
  const name = (day: string): string =>
    new Intl.DateTimeFormat('en-GB', {
      day: 'numeric',
      month: 'short',
      year: 'numeric',
      timeZone: 'UTC',
    }).format(new Date(`${day}T00:00:00Z`));

  async function away(): Promise<void> {
    const kept = await work.do(async () => {
      const body = { person: who === 'shop' ? null : Number(who), first, last: last || null, why };
      client.setQueryData(['calendar'], await told(api.POST('/plan/days-off', { body })));
    });
    if (kept) [first, last, why] = ['', '', ''];
  }

  const back = (off: number) =>
    work.do(async () => {
      client.setQueryData(
        ['calendar'],
        await told(api.DELETE('/plan/days-off/{off}', { params: { path: { off } } })),
      );
    });

  const subscribe = () =>
    work.do(async () => {
      const told_ = await told(api.POST('/plan/calendar-address'));
      address = told_.address ?? null;
      client.setQueryData(['calendar'], { ...told_, address: null });
    });

  const end = () =>
    work.do(async () => {
      address = null;
      client.setQueryData(['calendar'], await told(api.DELETE('/plan/calendar-address')));
    });
</script>

<svelte:head><title>Hours · Odd Bench</title></svelte:head>

<main class="min-w-0 px-4 py-2 md:px-5 lg:min-h-[calc(100vh-7.6rem)]">
  <BenchPlaces open={p('/hours')} />
  <h1 class="mt-2">Hours and days off</h1>
  {#if calendar.isError}
    <p role="alert" class="mt-4 text-out">✕ {calendar.error.message}</p>
  {:else if calendar.data}
    {@const it = calendar.data}
    <div class="mt-3 grid gap-x-10 gap-y-6 lg:grid-cols-3">
      <section aria-labelledby="shop-hours">
        <h2 id="shop-hours" class="rule-below pb-1">The shop is open</h2>
        <div class="mt-2">
          {#if me.person.isLead}
            <WeekHours person={null} week={it.shop} name="The shop" />
          {:else}
            <ul class="text-sm">
              {#each it.shop as one (`${one.weekday} ${one.opens}`)}<li>
                  {['', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'][one.weekday]}
                  <span class="fig">{one.opens}–{one.closes}</span>
                </li>{/each}
            </ul>
          {/if}
        </div>
      </section>
      <section aria-labelledby="own-hours">
        <h2 id="own-hours" class="rule-below pb-1">Who is here when</h2>
        {#each it.people as one (one.id)}
          <details class="rule-below py-1">
            <summary class="flex min-h-9 cursor-pointer items-center justify-between gap-2 max-lg:min-h-11"
              ><span class="font-semibold">{one.name}</span>
              <span class="text-sm text-quiet"
                >{one.week.length === 0 ? 'whenever the shop is open' : 'hours of their own'}</span
              ></summary
            >
            {#if me.person.isLead}
              <div class="py-2"><WeekHours person={one.id} week={one.week} name={one.name} /></div>
            {:else if one.week.length > 0}
              <p class="pb-2 text-sm">
                {#each one.week as span (`${span.weekday} ${span.opens}`)}<span class="mr-3"
                    >{['', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'][span.weekday]}
                    <span class="fig">{span.opens}–{span.closes}</span></span
                  >{/each}
              </p>
            {/if}
          </details>
        {/each}
        {#if me.person.isLead}<p class="mt-1 text-sm text-quiet">
            Without hours of their own people are here when the shop is open.
          </p>{/if}
      </section>
      <div class="grid content-start gap-6">
        <section aria-labelledby="off">
          <h2 id="off" class="rule-below pb-1">Days off</h2>
          <ul>
            {#each it.off as off (off.id)}
              <li class="rule-below flex min-h-11 items-center justify-between gap-2 text-sm">
                <span
                  ><strong>{off.name ?? 'The shop'}</strong>
                  {name(off.first)}{off.last === off.first ? '' : ` to ${name(off.last)}`}{off.from
                    ? `, ${off.from} to ${off.to}`
                    : ''}: {off.why}</span
                >
                {#if me.person.isLead || off.person === me.person.id}<button
                    type="button"
                    class="min-h-9 px-1 text-action underline max-lg:min-h-11"
                    onclick={() => back(off.id)}>here after all</button
                  >{/if}
              </li>
            {:else}<li class="py-1 text-sm text-quiet">None.</li>{/each}
          </ul>
          {#if me.person.worksAtTheBench}
            <Form class="mt-3 grid gap-3" onsend={away}>
              <Select
                label="Who"
                bind:value={who}
                choices={whose}
                class="w-full"
                error={work.error('person')}
              />
              <div class="grid grid-cols-2 gap-3">
                <Field label="From" type="date" bind:value={first} error={work.error('first')} />
                <Field
                  label="to"
                  type="date"
                  bind:value={last}
                  hint="empty for one day"
                  error={work.error('last')}
                />
              </div>
              <Field label="Why" bind:value={why} maxlength={120} error={work.error('why')} />
              <Problem message={work.leftover('person', 'first', 'last', 'why')} />
              <div><Button type="submit" busy={work.busy}>Not here then</Button></div>
            </Form>
          {/if}
        </section>
        {#if me.person.worksAtTheBench}
          <section aria-labelledby="subscribe">
            <h2 id="subscribe" class="rule-below pb-1">Your plan in your calendar</h2>
            <p class="mt-1 text-sm">
              An address your calendar subscribes to. Whoever has it sees what the plan gives you to do:
              machines and steps, no owners.
            </p>
            {#if address}
              <p class="fig mt-2 border border-line bg-white p-2 text-sm break-all">{address}</p>
              <p class="text-sm text-quiet">It is shown this once. A new one ends it.</p>
            {/if}
            <div class="mt-2 flex flex-wrap gap-2">
              <Button busy={work.busy} onclick={subscribe}
                >{it.subscribed ? 'A new address' : 'Make the address'}</Button
              >
              {#if it.subscribed}<Button busy={work.busy} onclick={end}>End it</Button>{/if}
            </div>
          </section>
        {/if}
      </div>
    </div>
  {/if}
</main>
