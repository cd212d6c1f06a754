<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { holdQuery } from '@/api/queries';
  import { here } from '@/api/session.svelte';
  import { p } from '@/router';
  import Problem from '@/ui/Problem.svelte';
  import Tag from '@/ui/Tag.svelte';
  import { percent } from '@/ui/format';
  import { rowKeys } from '@/ui/rows';
  import FleetPlaces from './FleetPlaces.svelte';

  /** Machines that come in too often, and repairs that come back. */
  const CHANCE = 0.05;
  const me = here();
  const query = createQuery(() => holdQuery());
  const it = $derived(query.data);
  const held = { farm: 'own farm', owner: 'an owner’s', resale: 'for resale' } as const;

  $effect(() => rowKeys(() => it?.machines.map((machine) => machine.tag) ?? []));
</script>

<svelte:head><title>Does not hold · Odd Bench</title></svelte:head>

{#snippet table(
  head: string,
  lines: readonly { name: string; jobs: number; cameBack: number; expected: number; because: string }[],
)}
  <table class="mt-1 w-full text-sm">
    <thead>
      <tr class="text-left text-quiet">
        <th class="py-1 font-normal">{head}</th>
        <th class="px-2 text-right font-normal">repairs</th>
        <th class="px-2 text-right font-normal">came back</th>
        <th class="px-2 text-right font-normal">usual</th>
        <th class="pl-4 font-normal">which is</th>
      </tr>
    </thead>
    <tbody>
      {#each lines as line (line.name)}
        <tr class="border-t border-line">
          <td class="py-1.5">{line.name}</td>
          <td class="fig px-2 text-right">{line.jobs}</td>
          <td class="fig px-2 text-right font-semibold">{line.cameBack}</td>
          <td class="fig px-2 text-right">{line.expected.toFixed(1)}</td>
          <td class="pl-4 text-quiet">{line.because.split(': ').at(-1)}</td>
        </tr>
      {/each}
    </tbody>
  </table>
{/snippet}

<main class="px-4 py-2 md:px-5">
  <FleetPlaces />
  <h1 class="mt-2">Machines that do not hold</h1>
  {#if query.isError}<div class="mt-3"><Problem message={query.error.message} /></div>{/if}
  {#if it}
    <p class="mt-1 text-sm text-quiet">
      By their repairs over their print hours: quicker and quicker (Laplace’s test), or more often than their
      sisters.
      {#if it.judged > 0}Of <span class="fig">{it.judged}</span> machines about
        <span class="fig">{Math.round(it.judged * CHANCE)}</span> are named by chance alone; look before you judge.{/if}
    </p>
    {#if it.machines.length > 0}
      <ul class="mt-2 border-t border-line">
        {#each it.machines as machine (machine.tag)}
          <li class="rule-below flex min-h-11 flex-wrap items-center gap-x-4 py-1">
            <a
              class="grid min-h-11 items-center"
              data-line={machine.tag}
              href={p('/machines/:tag', { params: { tag: machine.tag } })}><Tag tag={machine.tag} /></a
            >
            <span class="w-40 leading-tight"
              >{machine.familyName}<span class="block text-sm text-quiet"
                >{held[machine.heldAs as keyof typeof held]}</span
              ></span
            >
            <span class="min-w-64 flex-1">{machine.because}</span>
            <span class="text-sm text-quiet"><span class="fig">{percent(machine.sure)}</span> % sure</span>
            {#if me.person.seesMoney}<a
                class="text-sm font-semibold text-action underline"
                href={p('/jobs/:id/money', { params: { id: String(machine.job) } })}>Worth another?</a
              >{/if}
          </li>
        {/each}
      </ul>
    {:else}
      <p class="mt-3 text-quiet">
        {it.judged === 0
          ? 'Machines whose counters were read more than once are judged here by how often they come in.'
          : `None of ${it.judged} machines comes in quicker and quicker, or more often than its sisters.`}
      </p>
    {/if}
    <section class="mt-6 max-w-4xl" aria-labelledby="back">
      <h2 id="back">Repairs that came back within their warranty</h2>
      {#if it.faults.length > 0}{@render table('Fault', it.faults)}
      {:else}<p class="mt-1 text-sm text-quiet">None of {it.repairs} repairs of two years came back.</p>{/if}
    </section>
    {#if it.people.length > 0}
      <section class="mt-6 max-w-4xl" aria-labelledby="whose">
        <h2 id="whose">{me.person.isLead ? 'By who mended them' : 'Of your own repairs'}</h2>
        {@render table('Person', it.people)}
        <p class="mt-1 text-sm text-quiet">
          Usual: how many come back of just these faults in this shop. Whoever gets the hard ones is not
          measured by the easy ones; only what is beyond chance is said.
        </p>
      </section>
    {/if}
  {:else if !query.isError}<p class="mt-4 text-quiet" role="status">Counting the visits…</p>{/if}
</main>
