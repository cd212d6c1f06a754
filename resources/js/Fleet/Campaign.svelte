<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { campaignQuery } from '@/api/queries';
  import ChangeCampaign from './ChangeCampaign.svelte';
  import { here } from '@/api/session.svelte';
  import type { Campaign } from '@/api/types';
  import { wrote } from '@/api/writes';
  import { p, route } from '@/router';
  import Button from '@/ui/Button.svelte';
  import LinkButton from '@/ui/LinkButton.svelte';
  import Problem from '@/ui/Problem.svelte';
  import Tag from '@/ui/Tag.svelte';
  import { day, minutes, percent, promised } from '@/ui/format';
  import { places, type Place } from '@/ui/places';
  import { rowKeys } from '@/ui/rows';
  import { Work } from '@/ui/work.svelte';
  import BoundsBar from './BoundsBar.svelte';
  import CampaignLetters from './CampaignLetters.svelte';
  import FleetPlaces from './FleetPlaces.svelte';
  import { origins } from './campaign';

  const client = useQueryClient();
  const me = here();
  const work = new Work();
  const id = $derived(Number(route.params.id));
  const query = createQuery(() => campaignQuery(id));
  const it = $derived(query.data);
  const may = $derived(me.person.worksAtTheBench && it?.closedAt === null);
  const path = $derived({ params: { path: { campaign: id } } });
  let note = $state<Record<string, string>>({});
  let sure = $state(false);
  let letters = $state(false);
  let changing = $state(false);

  const keep = (now: Campaign): void => wrote(client, 'looks', ['campaign', id], now);

  const look = (tag: string, affected: boolean) =>
    work.do(async () =>
      keep(
        await told(
          api.POST('/campaigns/{campaign}/looks', {
            ...path,
            body: { tag, affected, note: note[tag]?.trim() || null },
          }),
        ),
      ),
    );
  const mended = (tag: string) =>
    work.do(async () =>
      keep(await told(api.POST('/campaigns/{campaign}/mended', { ...path, body: { tag } }))),
    );
  const tagTheRest = () =>
    work.do(async () => {
      keep(await told(api.POST('/campaigns/{campaign}/red-tags', path)));
      sure = false;
      wrote(client, 'job');
    });
  const end = () => work.do(async () => keep(await told(api.POST('/campaigns/{campaign}/end', path))));

  $effect(() => rowKeys(() => it?.machines.map((machine) => machine.tag) ?? []));
</script>

<svelte:head><title>{it?.name ?? 'Campaign'} · Odd Bench</title></svelte:head>

<main class="px-4 py-2 md:px-5">
  <FleetPlaces />
  {#if query.isError}<Problem message={query.error.message} />{/if}
  {#if it}
    <div class="mt-2 grid gap-6 lg:grid-cols-[minmax(0,1fr)_330px]">
      <section class="min-w-0">
        <h1>{it.danger ? '△ ' : ''}{it.name}</h1>
        <p class="mt-1 text-quiet">
          {#if it.foundInJob !== null}Found on <a
              class="underline"
              href={p('/jobs/:id', { params: { id: String(it.foundInJob) } })}
              ><span class="font-mono">{it.foundOn}</span></a
            >,{:else}Begun {origins[it.origin]},{/if}
          {it.by}, {day(it.openedAt, me.zone)}{it.because ? `: ${it.because}` : ''}.
          {#if it.who}For: {it.who}.{/if}
        </p>
        {#if it.closedAt}<p class="mt-1 font-semibold">
            Ended {day(it.closedAt, me.zone)}; nothing is added any more.
          </p>{:else}<p class={['mt-1 text-sm', it.late ? 'font-semibold text-out' : 'text-quiet']}>
            {it.assignedName ?? 'Whoever is free'}{it.dueOn
              ? `, by ${promised(it.dueOn, me.zone)}${it.late ? ': late' : ''}`
              : ''}
            {#if may}<Button kind="quiet" onclick={() => (changing = !changing)}
                >Who, when, what mends it</Button
              >{/if}
          </p>{/if}
        {#if changing && may}<ChangeCampaign
            campaign={it}
            onkept={(now) => {
              keep(now);
              changing = false;
            }}
          />{/if}
        {#if work.refusal}<div class="mt-2"><Problem message={work.refusal.message} /></div>{/if}
        <ul class="mt-3 border-t border-line">
          {#each it.machines as machine (machine.tag)}
            <li class="rule-below flex flex-wrap items-center gap-x-4 gap-y-1 py-1.5">
              <a
                class="grid min-h-11 w-48 items-center"
                data-line={machine.tag}
                href={p('/machines/:tag', { params: { tag: machine.tag } })}
                ><Tag tag={machine.tag} red={machine.redTag} /></a
              >
              <span class="w-40 leading-tight"
                >{machine.familyName}
                <span class="block truncate text-sm text-quiet"
                  >{machine.stands ?? places[machine.place as Place]}{machine.affected === null &&
                  machine.risk !== null &&
                  machine.risk >= 0.005
                    ? `, ${percent(machine.risk)} %`
                    : ''}</span
                ></span
              >
              {#if machine.affected === null}
                {#if may}
                  <input
                    class="field min-w-28 flex-1"
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
                  {#if machine.mendedAt}<span class="block text-sm text-well"
                      >✓ mended {day(machine.mendedAt, me.zone)}</span
                    >{/if}
                </span>
                {#if machine.affected && machine.mendedAt === null}
                  {#if machine.openJob !== null}
                    <a
                      class="text-sm underline"
                      href={p('/jobs/:id', { params: { id: String(machine.openJob) } })}>its job</a
                    >
                  {:else}
                    <a
                      class="text-sm font-semibold text-action underline"
                      href="{p('/book-in')}?tag={machine.tag}"
                      >{it.danger ? 'Unplug it, book it in' : 'Book it in'}</a
                    >
                  {/if}
                  {#if may}<Button
                      label="{machine.tag} is mended"
                      busy={work.busy}
                      onclick={() => mended(machine.tag)}>Mended</Button
                    >{/if}
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
          <span class="fig font-semibold">{it.looked}</span> of <span class="fig">{it.all}</span> looked at,
          <span class="fig font-semibold">{it.affected}</span> affected
        </p>
        <BoundsBar all={it.all} looked={it.looked} least={it.least} most={it.most} />
        <p class="mt-1 text-sm">
          {#if it.looked === 0}Nothing is known yet.
          {:else if it.settled}For certain <strong class="fig">{it.least}</strong>: that is enough looked at.
          {:else}Of all <span class="fig">{it.all}</span> between
            <strong class="fig">{it.least}</strong> and <strong class="fig">{it.most}</strong> are affected
            (95 %).
            {it.looksToSettle === it.all - it.looked
              ? `Only looking at all ${it.looksToSettle} that are left settles it.`
              : `About ${it.looksToSettle} more looks settle it.`}{/if}
        </p>
        {#if may && it.looked < it.all}
          <div class="mt-3">
            <LinkButton kind="main" href={p('/campaigns/:id/walk', { params: { id: String(id) } })}
              >Walk the shelf</LinkButton
            >
          </div>
        {/if}
        <h2 class="mt-4">How to look</h2>
        {#if it.lookFor}<p class="mt-1 text-sm">{it.lookFor}</p>{/if}
        {#if it.look}<p class="mt-1 text-sm">
            <strong>{it.look}</strong> <span class="fig">{minutes(it.minutes)}</span> min
          </p>{/if}
        {#if it.steps.length > 0}<ol class="steps mt-1 text-sm">
            {#each it.steps as step (step)}<li>{step}</li>{/each}
          </ol>{/if}
        {#each it.cautions as caution (caution)}<p class="mt-1 text-sm text-waiting">△ {caution}</p>{/each}
        {#if it.mend}
          <h2 class="mt-4">What puts it right</h2>
          <p class="mt-1 text-sm">
            {it.mend}.
            <span class="text-quiet"
              ><span class="fig">{it.mended}</span> of <span class="fig">{it.affected}</span> affected have it.</span
            >
          </p>
        {/if}
        {#if it.danger}
          <h2 class="mt-4">Danger</h2>
          {#if it.taggedBy}<p class="mt-1 text-sm">
              {it.taggedBy} had red tags put on what may have it.
            </p>{/if}
          {#if it.untagged > 0}
            <p class="mt-1 text-sm">
              <span class="fig">{it.untagged}</span>
              {it.untagged === 1 ? 'machine stands' : 'machines stand'} here without a red tag, not looked at or
              found affected.
            </p>
            {#if me.person.isLead && it.closedAt === null}
              {#if sure}
                <p class="mt-1 text-sm">
                  Each is booked in and unplugged until it was looked at, put right, and a second person has
                  signed.
                </p>
                <div class="mt-2 flex flex-wrap gap-2">
                  <Button kind="red" busy={work.busy} onclick={tagTheRest}>Tag {it.untagged} machines</Button>
                  <Button kind="quiet" onclick={() => (sure = false)}>Not yet</Button>
                </div>
              {:else}<div class="mt-2">
                  <Button kind="red" onclick={() => (sure = true)}>Red tags on them</Button>
                </div>{/if}
            {:else if it.closedAt === null}<p class="text-sm text-quiet">
                A lead has red tags put on them.
              </p>{/if}
          {/if}
        {/if}
        {#if me.person.meetsOwners && (it.lettersOwed > 0 || it.machines.some((machine) => machine.hasOwner && (machine.affected || it.danger)))}
          <h2 class="mt-4">Owners</h2>
          <p class="mt-1 text-sm">
            {it.lettersOwed > 0
              ? `${it.lettersOwed} ${it.lettersOwed === 1 ? 'owner is' : 'owners are'} to be told.`
              : 'No owner is left to be told.'}
          </p>
          <Button kind="quiet" onclick={() => (letters = true)}>Letters</Button>
        {/if}
        {#if may}
          <div class="mt-4"><Button busy={work.busy} onclick={end}>End the campaign</Button></div>
        {/if}
      </aside>
    </div>
    <CampaignLetters bind:open={letters} campaign={id} />
  {:else if !query.isError}
    <p class="text-quiet" role="status">Fetching the campaign…</p>
  {/if}
</main>
