<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { campaignsQuery, holdQuery, risksQuery, type Weeks } from '@/api/queries';
  import { here } from '@/api/session.svelte';
  import { p } from '@/router';
  import LinkButton from '@/ui/LinkButton.svelte';
  import Tag from '@/ui/Tag.svelte';
  import { money, percent } from '@/ui/format';
  import { spans } from './farm';
  import MakeJobs from './MakeJobs.svelte';

  /** What follows from a look at the farm: the next visits, the open campaign, the machine that does not hold. */
  let { weeks, below = false }: { weeks: Weeks; below?: boolean } = $props();

  const MOST = 3;
  const me = here();
  const risks = createQuery(() => risksQuery(weeks, ''));
  const campaigns = createQuery(() => campaignsQuery());
  const hold = createQuery(() => holdQuery());
  const next = $derived(
    risks.data?.visits
      .filter((visit) => visit.openJob === null && visit.parts.some((part) => !part.planned))
      .slice(0, MOST) ?? [],
  );
  const open = $derived(
    campaigns.data?.campaigns.filter((campaign) => !campaign.closed).slice(0, MOST) ?? [],
  );
  const worst = $derived(hold.data?.machines.slice(0, 2) ?? []);
  const fails = $derived(
    1 - next.flatMap((visit) => visit.parts).reduce((works, part) => works * (1 - part.risk), 1),
  );
  const sum = (of: 'plannedMinor' | 'savesMinor'): number | null =>
    next.every((visit) => visit[of] !== null) ? next.reduce((all, visit) => all + (visit[of] ?? 0), 0) : null;
  const planned = $derived(sum('plannedMinor'));
  const saves = $derived(sum('savesMinor'));
</script>

<aside
  class={[
    'grid content-start gap-x-10 gap-y-5 border-line bg-side px-5 py-4',
    below ? 'border-t lg:grid-cols-3' : 'max-lg:border-t lg:border-l',
  ]}
>
  <section>
    <h2>While they are open anyway</h2>
    {#if next.length > 0}
      <ul class="mt-1 grid gap-1">
        {#each next as visit (visit.tag)}
          <li class="flex flex-wrap items-baseline gap-x-2 leading-tight">
            <a href={p('/machines/:tag', { params: { tag: visit.tag } })}><Tag tag={visit.tag} /></a>
            <span class="text-sm">{visit.parts.map((part) => part.name.toLowerCase()).join(', ')}</span>
          </li>
        {/each}
      </ul>
      <dl class="mt-2 grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 gap-y-0.5 text-sm">
        {#if planned !== null}
          <dt>Planned, hands and parts</dt>
          <dd class="fig text-right">{money(planned, me.currency)}</dd>
        {/if}
        {#if saves !== null}
          <dt>Waiting {spans.find((span) => span.code === weeks)?.name} costs more by</dt>
          <dd class="fig text-right">{money(saves, me.currency)}</dd>
        {/if}
        <dt class="font-semibold">and one of these parts fails with</dt>
        <dd class="text-right"><span class="fig font-semibold">{percent(fails)}</span> %</dd>
      </dl>
      {#if me.person.worksAtTheBench}
        <div class="mt-3"><MakeJobs visits={next} /></div>
      {/if}
      <p class="mt-2 text-sm">
        <a class="text-action underline" href="{p('/will-fail')}?weeks={weeks}">All that will fail</a>
      </p>
    {:else if risks.data}
      <p class="mt-1 text-sm text-quiet">Nothing is worth a visit before it fails.</p>
    {:else if risks.isError}<p role="alert" class="text-sm text-out">✕ {risks.error.message}</p>
    {/if}
  </section>

  {#if open.length > 0}
    <section>
      <h2>{open.length === 1 ? 'Campaign' : 'Campaigns'}</h2>
      {#each open as campaign (campaign.id)}
        <p class="mt-1 text-sm">
          <a
            class="font-semibold underline"
            href={p('/campaigns/:id', { params: { id: String(campaign.id) } })}>{campaign.name}</a
          >: <span class="fig">{campaign.looked}</span> of <span class="fig">{campaign.all}</span> looked at,
          <span class="fig">{campaign.affected}</span> affected{#if campaign.least === campaign.most}.{:else}:
            between <strong class="fig">{campaign.least}</strong> and
            <strong class="fig">{campaign.most}</strong> in all.{/if}
        </p>
        {#if me.person.worksAtTheBench && campaign.looked < campaign.all}
          <div class="mt-1.5 mb-2">
            <LinkButton href={p('/campaigns/:id/walk', { params: { id: String(campaign.id) } })}
              >Walk the shelf</LinkButton
            >
          </div>
        {/if}
      {/each}
    </section>
  {/if}

  {#if worst.length > 0}
    <section>
      <h2>Does not hold</h2>
      {#each worst as machine (machine.tag)}
        <p class="mt-1 text-sm">
          <a href={p('/machines/:tag', { params: { tag: machine.tag } })}><Tag tag={machine.tag} /></a>
          {machine.because}
          {#if me.person.seesMoney}<a
              class="whitespace-nowrap text-action underline"
              href={p('/jobs/:id/money', { params: { id: String(machine.job) } })}>Worth another?</a
            >{/if}
        </p>
      {/each}
    </section>
  {/if}
</aside>
