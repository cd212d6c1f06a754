<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { campaignsQuery } from '@/api/queries';
  import { here } from '@/api/session.svelte';
  import { p } from '@/router';
  import LinkButton from '@/ui/LinkButton.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { promised } from '@/ui/format';
  import { rowKeys } from '@/ui/rows';
  import BoundsBar from './BoundsBar.svelte';
  import FleetPlaces from './FleetPlaces.svelte';
  import { origins } from './campaign';

  /** One find that protects all machines: what is looked for, how far, and what is known by now. */
  const me = here();
  const query = createQuery(() => campaignsQuery());
  const all = $derived(query.data?.campaigns ?? []);

  $effect(() => rowKeys(() => all.map((one) => one.id)));
</script>

<svelte:head><title>Campaigns · Odd Bench</title></svelte:head>

<main class="px-4 py-2 md:px-5">
  <FleetPlaces />
  <div class="mt-2 flex flex-wrap items-center justify-between gap-3">
    <h1>Campaigns</h1>
    {#if me.person.worksAtTheBench}<LinkButton kind="main" href={p('/campaign-new')}
        >Begin a campaign</LinkButton
      >{/if}
  </div>
  {#if query.isError}<div class="mt-3"><Problem message={query.error.message} /></div>{/if}
  {#if query.data}
    {#if all.length === 0}
      <p class="mt-4 text-quiet">
        When one find may be on other machines, the same look at all of them stands here: from a fault, a bad
        batch, a bulletin or a thought.
      </p>
    {/if}
    <ul class="mt-2 border-t border-line">
      {#each all as one (one.id)}
        <li class="rule-below">
          <a
            class="grid items-center gap-x-5 py-2 hover:bg-wash focus-visible:bg-wash md:grid-cols-[minmax(0,1fr)_15rem_14rem]"
            data-line={one.id}
            href={p('/campaigns/:id', { params: { id: String(one.id) } })}
          >
            <span class="min-w-0">
              <span class={one.closed ? '' : 'font-bold'}>{one.danger ? '△ ' : ''}{one.name}</span>
              <span class="block text-sm text-quiet"
                >{origins[one.origin]}{one.closed ? '; ended' : ''}{one.assignedName
                  ? `; ${one.assignedName}`
                  : ''}{one.dueOn && !one.closed ? `, by ${promised(one.dueOn, me.zone)}` : ''}</span
              >
            </span>
            <BoundsBar all={one.all} looked={one.looked} least={one.least} most={one.most} />
            <span class="text-sm"
              ><span class="fig">{one.looked}</span> of <span class="fig">{one.all}</span> looked at
              <span class="block"
                >{#if one.looked === 0}nothing known yet{:else if one.least === one.most}<strong class="fig"
                    >{one.least}</strong
                  > affected{:else}<strong class="fig">{one.least}</strong> to
                  <strong class="fig">{one.most}</strong> affected{/if}{#if one.mended > 0}, <span class="fig"
                    >{one.mended}</span
                  > mended{/if}</span
              ></span
            >
          </a>
        </li>
      {/each}
    </ul>
  {:else if !query.isError}<p class="mt-4 text-quiet" role="status">Fetching the campaigns…</p>{/if}
</main>
