<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { todayQuery } from '@/api/queries';
  import type { Today } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import { keepJob } from '@/api/writes';
  import { navigate, p } from '@/router';
  import Button from '@/ui/Button.svelte';
  import { clock } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import Tag from '@/ui/Tag.svelte';
  import { Work } from '@/ui/work.svelte';
  import BenchPlaces from './BenchPlaces.svelte';
  import ByItself from './ByItself.svelte';
  import Changed from './Changed.svelte';
  import { Moving } from './moving.svelte';
  import MoveCost from './MoveCost.svelte';
  import Night from './Night.svelte';
  import PersonBand from './PersonBand.svelte';
  import { at, hours, rulerOf, span } from './ruler';
  import Warnings from './Warnings.svelte';

  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const moving = new Moving();
  const today = createQuery(() => todayQuery());
  const plan = $derived(today.data);
  const ruler = $derived(plan ? rulerOf(plan.from, plan.to) : null);
  const now = $derived(plan ? Date.parse(plan.now) : 0);
  const may = $derived(me.person.worksAtTheBench);
  /** so many of what is later, and of what is sooner, are told */
  const MOST = 3;
  const more = $derived(
    Math.max(0, (plan?.costs.length ?? 0) - MOST) + Math.max(0, (plan?.gains.length ?? 0) - MOST),
  );
  let asked = $state(false);
  let changed = $state(false);
  // at four it stands on top
  const night = $derived(plan?.nightAt ? now >= Date.parse(plan.nightAt) : false);
  const shut = $derived.by(() => {
    const last = plan?.open.at(-1)?.[1];
    return plan && last && Date.parse(last) < Date.parse(plan.to)
      ? span(rulerOf(plan.from, plan.to), last, plan.to)
      : null;
  });

  async function takeNext(): Promise<void> {
    const next = plan?.next;
    if (!next) return;
    const taken = await work.do(async () =>
      keepJob(
        client,
        await told(
          api.POST('/jobs/{job}/hands', { params: { path: { job: next.job } }, body: { on: true } }),
        ),
      ),
    );
    if (taken) navigate('/jobs/:id', { params: { id: String(next.job) } });
  }

  const job = (id: number): string => p('/jobs/:id', { params: { id: String(id) } });
</script>

{#snippet next(plan: Today)}
  {#if may}
    {#if plan.next}
      <p class="text-sm text-quiet">Your next, {clock(plan.next.start, me.zone)}</p>
      <p class="flex flex-wrap items-center gap-2 font-semibold">
        <Tag tag={plan.next.tag} />
        {plan.next.what}
      </p>
    {/if}
    <div class="mt-2 mb-5 flex flex-wrap gap-2">
      {#if plan.next}<Button kind="main" busy={work.busy} onclick={takeNext}>Take the next</Button>{/if}
      <Button onclick={() => (changed = true)}>Something changed…</Button>
    </div>
  {/if}
{/snippet}

<svelte:head><title>Today · Odd Bench</title></svelte:head>

<div class="grid lg:min-h-[calc(100vh-7.6rem)] lg:grid-cols-[minmax(0,1fr)_330px]">
  <main class="min-w-0 px-4 py-2 md:px-5">
    <h1 class="sr-only">Today</h1>
    <BenchPlaces open={p('/today')} />
    {#if plan}<div class="mt-3 lg:hidden">{@render next(plan)}</div>{/if}
    {#if today.isError}
      <p role="alert" class="mt-4 text-out">✕ {today.error.message}</p>
    {:else if plan && ruler}
      {#if plan.madeAt === null}
        <p class="mt-4">
          The first plan is on its way; it is made of the machines that are booked in and of who is here.
        </p>
      {:else if plan.open.length === 0}
        <p class="mt-4 border-l-4 border-waiting bg-waiting-wash px-3 py-2 text-waiting">
          ▢ The shop is shut today. What is planned for the next days stands under
          <a class="underline" href={p('/week')}>This week</a>.
        </p>
      {/if}
      {#if night}<Night {plan} zone={me.zone} />{/if}
      <div class="relative mt-3">
        <div class="grid grid-cols-[100px_minmax(0,1fr)]" aria-hidden="true">
          <span></span>
          <div class="relative h-11">
            {#each hours(ruler, me.zone) as hour (hour.left)}
              <span class="fig absolute top-0 -translate-x-1/2 text-sm text-quiet" style="left: {hour.left}%"
                >{hour.name}</span
              >
              <span class="absolute top-5 h-2.5 border-l border-edge" style="left: {hour.left}%"></span>
            {/each}
            <span class="absolute inset-x-0 top-5 h-5 border border-line bg-drawer/60"></span>
          </div>
        </div>
        {#if shut}
          <div class="pointer-events-none absolute top-9 bottom-0 right-0 left-[100px]" aria-hidden="true">
            <span
              class="absolute inset-y-0 overflow-hidden bg-drawer/70 pl-1 text-xs text-quiet"
              style="left: {shut.left}%; width: {shut.width}%">shut</span
            >
          </div>
        {/if}
        {#each plan.people as person (person.id)}
          <PersonBand
            {person}
            people={plan.people}
            {ruler}
            open={plan.open}
            zone={me.zone}
            {now}
            {moving}
            {may}
            onask={() => (asked = moving.moved)}
          />
        {:else}
          {#if plan.madeAt}<p class="mt-3">
              Nobody works at the bench here: a technician or a lead does. See <a
                class="text-action underline"
                href={p('/shop')}>Shop</a
              >.
            </p>{/if}
        {/each}
        <ByItself steps={plan.alone} {ruler} />
        {#if plan.comesIn.length > 0}
          <div class="mt-2 grid min-h-8 grid-cols-[100px_minmax(0,1fr)] items-center">
            <h2>Comes in</h2>
            <ul class="min-w-0 text-sm">
              {#each plan.comesIn as part, i (i)}
                {@const left = at(ruler, Date.parse(part.at))}
                <li
                  class={['truncate', part.late ? 'text-out' : 'text-well', left > 60 && 'text-right']}
                  style={left > 60
                    ? `padding-right: max(0px, calc(${100 - left}% - 6px))`
                    : `padding-left: max(0px, calc(${left}% - 6px))`}
                >
                  {left > 60 ? '' : '▼ '}{part.pieces === 1 ? '' : `${part.pieces} × `}{part.name}{part.late
                    ? ', should have come'
                    : `, ${clock(part.at, me.zone)}`}{left > 60 ? ' ▼' : ''}
                </li>
              {/each}
            </ul>
          </div>
        {/if}
        {#if now >= ruler.from && now <= ruler.to}
          <div class="pointer-events-none absolute top-5 bottom-0 right-0 left-[100px]" aria-hidden="true">
            <span class="absolute inset-y-0 z-10 border-l-2 border-ink" style="left: {at(ruler, now)}%"
              ><span
                class="absolute -top-1 -left-[7px] h-3 w-3 bg-ink"
                style="clip-path: polygon(0 0, 100% 0, 100% 60%, 50% 100%, 0 60%)"
              ></span></span
            >
          </div>
        {/if}
      </div>
      {#if !night}<Night {plan} zone={me.zone} />{/if}
      {#if plan.unplanned.length > 0}
        <section class="mt-4" aria-labelledby="unplanned">
          <h2 id="unplanned" class="rule-below pb-1">Not in the plan</h2>
          <ul>
            {#each plan.unplanned as one (one.job)}
              <li class="rule-below">
                <a
                  class="flex min-h-11 flex-wrap items-center gap-x-3 py-1 hover:bg-wash"
                  href={job(one.job)}
                >
                  <Tag tag={one.tag} /> <span class="font-semibold">{one.what}</span>
                  <span class="text-sm text-quiet">{one.because}</span>
                </a>
              </li>
            {/each}
          </ul>
        </section>
      {/if}
    {/if}
  </main>
  <aside
    class="min-w-0 border-line bg-side px-5 py-4 break-words max-lg:border-t lg:border-l"
    aria-label="The plan"
  >
    {#if plan}
      {#if asked && moving.step}
        <MoveCost {plan} {moving} zone={me.zone} ondone={() => (asked = false)} />
      {:else}
        <Problem message={work.refusal?.message} />
        <div class="max-lg:hidden">{@render next(plan)}</div>
        <h2>Holds</h2>
        <p class="mt-1">{plan.holds}</p>
        <Warnings warnings={plan.warnings} />
        {#if plan.madeAt}
          <h2 class="mt-5">{plan.stale ? 'Planned at' : 'Changed at'} {clock(plan.madeAt, me.zone)}</h2>
          {#if plan.stale}<p class="text-sm font-semibold text-waiting" role="status">
              ◔ a new plan is on its way
            </p>{/if}
          {#if plan.changedBecause}<p class="mt-1 text-sm break-words">{plan.changedBecause}.</p>{/if}
          <ul class="mt-1 text-sm">
            {#each plan.costs.slice(0, MOST) as line (line)}<li class="text-out">▲ {line}</li>{/each}
            {#each plan.gains.slice(0, MOST) as line (line)}<li class="text-well">▼ {line}</li>{/each}
            {#if more > 0}<li class="text-quiet">and {more} more</li>{/if}
            {#if plan.costs.length + plan.gains.length === 0}<li class="text-quiet">
                Nothing is later or late by it.
              </li>{/if}
          </ul>
          <h2 class="mt-5">How good is this plan</h2>
          <p class="mt-1 text-sm">{plan.quality}</p>
        {/if}
        {#if may}<p class="mt-4 text-sm text-quiet">
            ← → moves the step under the mark by a quarter of an hour, ↑ ↓ to somebody else, Enter says what
            it costs.
          </p>{/if}
      {/if}
    {/if}
  </aside>
</div>
{#if plan}<Changed bind:open={changed} day={plan.day} />{/if}
