<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { wrote } from '@/api/writes';
  import { lookListQuery } from '@/api/queries';
  import type { LookList } from '@/api/types';
  import { p, route } from '@/router';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import { day, minutes } from '@/ui/format';
  import { places, type Place } from '@/ui/places';
  import Problem from '@/ui/Problem.svelte';
  import { rowKeys } from '@/ui/rows';
  import Tag from '@/ui/Tag.svelte';
  import { Work } from '@/ui/work.svelte';
  import ShareBar from './ShareBar.svelte';

  const client = useQueryClient();
  const me = here();
  const work = new Work();
  const id = $derived(Number(route.params.id));
  const query = createQuery(() => lookListQuery(id));
  const list = $derived(query.data);
  const may = $derived(me.person.worksAtTheBench && list?.closedAt === null);
  const path = $derived({ params: { path: { list: id } } });
  let note = $state<Record<string, string>>({});

  function keep(now: LookList): void {
    wrote(client, 'looks', ['look-list', id], now);
  }

  const look = (tag: string, affected: boolean) =>
    work.do(async () =>
      keep(
        await told(
          api.POST('/look-lists/{list}/looks', {
            ...path,
            body: { tag, affected, note: note[tag]?.trim() || null },
          }),
        ),
      ),
    );

  const end = () => work.do(async () => keep(await told(api.POST('/look-lists/{list}/end', path))));

  $effect(() => rowKeys(() => list?.machines.map((machine) => machine.tag) ?? []));
</script>

<svelte:head><title>{list?.name ?? 'Look-list'} · Odd Bench</title></svelte:head>

<main class="px-4 py-4 md:px-5">
  {#if query.isError}<Problem message={query.error.message} />{/if}
  {#if list}
    <div class="grid gap-6 lg:grid-cols-[minmax(0,1fr)_330px]">
      <section class="min-w-0">
        <h1>Look at the sisters: {list.name}</h1>
        <p class="mt-1 text-quiet">
          Found on <a class="underline" href={p('/jobs/:id', { params: { id: String(list.foundInJob) } })}
            ><span class="font-mono">{list.foundOn}</span></a
          >, {list.by}, {day(list.openedAt, me.zone)}: {list.because}.
        </p>
        {#if list.closedAt}<p class="mt-1 font-semibold">
            Ended {day(list.closedAt, me.zone)}; nothing is added any more.
          </p>{/if}
        {#if work.refusal}<div class="mt-2"><Problem message={work.refusal.message} /></div>{/if}
        <ul class="mt-3 border-t border-line">
          {#each list.machines as machine (machine.tag)}
            <li class="rule-below flex flex-wrap items-center gap-x-4 gap-y-1 py-1.5">
              <a
                class="grid min-h-11 w-48 items-center"
                data-line={machine.tag}
                href={p('/machines/:tag', { params: { tag: machine.tag } })}><Tag tag={machine.tag} /></a
              >
              <span class="w-36 leading-tight"
                >{machine.familyName}
                <span class="block text-sm text-quiet">{places[machine.place as Place]}</span></span
              >
              {#if machine.affected === null}
                {#if may}
                  <input
                    class="field min-w-32 flex-1"
                    placeholder="What is seen, if anything"
                    aria-label="Note for {machine.tag}"
                    maxlength="200"
                    bind:value={() => note[machine.tag] ?? '', (text) => (note[machine.tag] = text)}
                  />
                  <Button
                    busy={work.busy}
                    label="{machine.tag} is well"
                    onclick={() => look(machine.tag, false)}>Well</Button
                  >
                  <Button
                    busy={work.busy}
                    label="{machine.tag} is affected"
                    onclick={() => look(machine.tag, true)}>Affected</Button
                  >
                {:else}<span class="flex-1 text-quiet">▢ not looked at</span>{/if}
              {:else}
                <span class={['min-w-0 flex-1 leading-tight', machine.affected ? 'text-out' : 'text-well']}>
                  <strong>{machine.affected ? '✕ affected' : '✓ well'}</strong>
                  <span class="text-sm text-quiet"
                    >{machine.note ? `${machine.note}, ` : ''}{machine.by}{machine.at
                      ? `, ${day(machine.at, me.zone)}`
                      : ''}</span
                  >
                </span>
                {#if machine.affected && machine.openJob !== null}
                  <a
                    class="text-sm underline"
                    href={p('/jobs/:id', { params: { id: String(machine.openJob) } })}>its job</a
                  >
                {:else if machine.affected}
                  <a class="text-sm font-semibold text-action underline" href={p('/book-in')}
                    >{list.danger ? 'Unplug it, book it in' : 'Book it in'}</a
                  >
                {/if}
                {#if may}<Button
                    kind="quiet"
                    label="{machine.tag}: it is the other way"
                    busy={work.busy}
                    onclick={() => look(machine.tag, !machine.affected)}>the other way</Button
                  >{/if}
              {/if}
            </li>
          {/each}
        </ul>
      </section>
      <aside class="content-start bg-side p-4">
        <h2>How far</h2>
        <p class="mt-1 text-lg">
          <span class="fig font-semibold">{list.looked}</span> of <span class="fig">{list.all}</span> looked
          at,
          <span class="fig font-semibold">{list.affected}</span> affected
        </p>
        <ShareBar {list} />
        <p class="mt-1 text-sm text-quiet">{list.said}</p>
        <h2 class="mt-4">How to look</h2>
        <p class="mt-1 text-sm">
          <strong>{list.look}</strong> <span class="fig">{minutes(list.minutes)}</span> min
        </p>
        <ol class="steps mt-1 text-sm">
          {#each list.steps as step (step)}<li>{step}</li>{/each}
        </ol>
        {#each list.cautions as caution (caution)}<p class="mt-1 text-sm text-waiting">△ {caution}</p>{/each}
        {#if may}
          <div class="mt-4">
            <Button busy={work.busy} onclick={end}>End the list</Button>
          </div>
        {/if}
      </aside>
    </div>
  {:else if !query.isError}
    <p class="text-quiet" role="status">Fetching the list…</p>
  {/if}
</main>
