<script lang="ts">
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { here } from '@/api/session.svelte';
  import type { Life, LifeLine } from '@/api/types';
  import { navigate, p, route } from '@/router';
  import Problem from '@/ui/Problem.svelte';
  import Select from '@/ui/Select.svelte';
  import { day, hours, money, percent } from '@/ui/format';
  import FleetPlaces from './FleetPlaces.svelte';
  import LifeCurve from './LifeCurve.svelte';

  /** How long one kind of part lasts: the curve, who failed and who runs, when to change one, what is to come. */
  const me = here();
  const asked = $derived(route.search as Record<string, string | undefined>);
  const of = $derived(String(route.params.class));
  const ahead = $derived(Number(asked['ahead'] ?? 240));
  const query = createQuery(() => ({
    queryKey: ['lives', of, asked['part'], asked['family'], asked['circumstance'], ahead],
    queryFn: () =>
      told(
        api.GET('/fleet/lives/{class}', {
          params: {
            path: { class: of },
            query: {
              ahead,
              ...(asked['part'] ? { part: asked['part'] } : {}),
              ...(asked['family'] ? { family: asked['family'] } : {}),
              ...(asked['circumstance'] ? { circumstance: asked['circumstance'] } : {}),
            },
          },
        }),
      ),
    placeholderData: keepPreviousData,
  }));
  const it = $derived(query.data);
  const round = (value: number): string => hours(Math.round(value / 10) * 10);
  const more = (life: Life, n: number): string => percent(life.atLeast[n] ?? 0);
  const whole = $derived(!asked['part'] && !asked['family'] && !asked['circumstance']);

  function ask(search: Record<string, string>): void {
    void navigate('/lives/:class', { params: { class: of }, search, replace: true });
  }

  const where = (life: LifeLine): string => {
    const base = p('/lives/:class', { params: { class: life.partClass } });
    const said = (['part', 'family', 'circumstance'] as const).find((key) => life[key]);
    return said ? `${base}?${said}=${encodeURIComponent(life[said] ?? '')}` : base;
  };
</script>

<svelte:head><title>{it?.className ?? 'A life'} · Odd Bench</title></svelte:head>

{#snippet group(title: string, lives: readonly LifeLine[])}
  {#if lives.length > 0}
    <h2 class="mt-3">{title}</h2>
    <ul class="text-sm">
      {#each lives as life (life.name)}
        <li class="flex items-baseline justify-between gap-3">
          <a
            class={['min-w-0 truncate underline', life.name === it?.of.name && 'font-bold']}
            href={where(life)}
            title={life.name}>{life.name}</a
          >
          <span class="shrink-0 whitespace-nowrap"
            >{#if life.failures === 0}<span class="text-quiet"
                ><span class="fig">{life.running}</span> came through</span
              >{:else}<span class="text-quiet"
                ><span class="fig">{life.failures}</span> failed{life.differs ? ', differs' : ''}</span
              >
              <span class={['fig', life.own && 'font-semibold']}>{round(life.meanHours)}</span> h{/if}</span
          >
        </li>
      {/each}
    </ul>
  {/if}
{/snippet}

<main class="grid lg:min-h-[calc(100vh-7.6rem)] lg:grid-cols-[minmax(0,1fr)_330px]">
  <div class="min-w-0 px-4 py-2 md:px-5">
    <FleetPlaces />
    {#if query.isError}<div class="mt-3"><Problem message={query.error.message} /></div>{/if}
    {#if it}
      <h1 class="mt-2">{it.className}{whole ? '' : `, ${it.of.name}`}</h1>
      <p class="text-sm text-quiet">
        <span class="fig">{it.of.failures}</span> failed, <span class="fig">{it.runs.length}</span>
        {it.runs.length === 1 ? 'runs' : 'run'}{it.of.believedFrom
          ? `; since ${day(it.of.believedFrom, me.zone)} this shop believes itself`
          : it.of.leansOnAll
            ? '; too few failed, so all of its class here count along'
            : '; too few failed to go by alone, so the trade’s usual life counts along'}
        {#if !whole}· <a class="underline" href={p('/lives/:class', { params: { class: of } })}
            >all of its class</a
          >{/if}
      </p>
      <div class="grid gap-x-6 xl:grid-cols-[minmax(0,1fr)_15.5rem]">
        <LifeCurve life={it} />
        <div class="pt-2">
          <h2>In words</h2>
          <p class="mt-1 text-sm">
            Half last <strong class="fig">{round(it.medianHours)}</strong> h, the mean is
            <strong class="fig">{round(it.of.meanHours)}</strong> h ({#if it.of.highHours === null}over
              <span class="fig">{round(it.of.lowHours)}</span>{:else}between
              <span class="fig">{round(it.of.lowHours)}</span>
              and <span class="fig">{round(it.of.highHours)}</span>{/if}).
            {it.wearsOut ? 'They wear out: the older, the likelier.' : 'They fail by chance at any age.'}
            {#if it.of.own && it.of.tradeHours}
              The trade says <span class="fig">{round(it.of.tradeHours)}</span> h: here
              <span class="fig">{Math.round(Math.abs(it.of.meanHours / it.of.tradeHours - 1) * 100)}</span> %
              {it.of.meanHours < it.of.tradeHours ? 'less' : 'more'}.
            {/if}
          </p>
          {@render group('Makes', it.makes)}
          {@render group('Families', it.families)}
          {@render group('Among what', it.circumstances)}
        </div>
      </div>
    {:else if !query.isError}<p class="mt-4 text-quiet" role="status">Drawing the curve…</p>{/if}
  </div>
  <aside class="border-line bg-side px-5 py-4 max-lg:border-t lg:border-l">
    {#if it}
      <h2>When to change it</h2>
      <p class="mt-1 text-sm">
        {#if it.plannedMinor !== null && it.failureMinor !== null}
          Planned <span class="fig">{money(it.plannedMinor, me.currency)}</span>, when it fails
          <span class="fig">{money(it.failureMinor, me.currency)}</span> with finding and lost hours.
        {/if}
        {#if it.changeAtHours !== null}
          Cheapest at <strong class="fig">{round(it.changeAtHours)}</strong>
          <strong>h</strong>{#if it.costPerHour !== null && it.toFailurePerHour !== null}:
            <span class="fig">{money(it.costPerHour * 100, me.currency)}</span> in 100 hours against
            <span class="fig">{money(it.toFailurePerHour * 100, me.currency)}</span>{/if}. Anything from
          <span class="fig">{round(it.flatFromHours ?? 0)}</span> to
          <span class="fig">{round(it.flatToHours ?? 0)}</span> h costs within 1 % of that.
        {:else}{it.changeBecause}{/if}
      </p>
      <div class="mt-5 flex items-end justify-between gap-3">
        <h2>To come</h2>
        <Select
          label="Print hours ahead"
          value={String(ahead)}
          choices={['120', '240', '480', '960'].map((code) => ({ code, name: `${code} h` }))}
          class="w-28"
          onpick={(value) =>
            ask({
              ...Object.fromEntries(
                Object.entries(asked).filter((pair): pair is [string, string] => typeof pair[1] === 'string'),
              ),
              ahead: value,
            })}
        />
      </div>
      <p class="mt-1 text-sm">
        {#if it.inUse === 0}None of a known age runs.{:else}
          Of <span class="fig">{it.inUse}</span> that run
          <strong class="fig">{it.expected.toFixed(1)}</strong>
          {it.expected.toFixed(1) === '1.0' ? 'is' : 'are'} expected to fail. At least one with
          <span class="fig">{more(it, 1)}</span> %{#if it.enough > 0}, more than <span class="fig"
              >{it.enough}</span
            >
            with <span class="fig">{more(it, it.enough + 1)}</span> %{/if}.
        {/if}
      </p>
      <p class="mt-1 text-sm">
        <a class="text-action underline" href={p('/orders')}>The order list</a>
        <span class="text-quiet">reckons with it.</span>
      </p>
      {#if it.takenOutWorking > 0 || it.notCounted.length > 0}
        <h2 class="mt-5">Not counted as failed</h2>
        {#if it.takenOutWorking > 0}<p class="mt-1 text-sm text-quiet">
            <span class="fig">{it.takenOutWorking}</span>
            {it.takenOutWorking === 1 ? 'was' : 'were'} changed while {it.takenOutWorking === 1
              ? 'it'
              : 'they'} still worked; until then {it.takenOutWorking === 1 ? 'it counts' : 'they count'} as running.
          </p>{/if}
        {#each it.notCounted as why (why.why)}
          <p class="mt-1 text-sm text-quiet">
            <span class="fig">{why.count}</span>
            {why.why} ({why.tags.join(', ')}{why.count > why.tags.length ? ' and more' : ''}).
            {why.wayOut ?? ''}
          </p>
        {/each}
      {/if}
    {/if}
  </aside>
</main>
