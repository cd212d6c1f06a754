<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { machineQuery } from '@/api/queries';
  import { OwedLooks } from '@/Fleet';
  import { p, route } from '@/router';
  import { here } from '@/api/session.svelte';
  import LinkButton from '@/ui/LinkButton.svelte';
  import Check from '@/ui/Check.svelte';
  import { clock, day, hours, money } from '@/ui/format';
  import Tag from '@/ui/Tag.svelte';
  import PositionList from './PositionList.svelte';
  import PositionMap from './PositionMap.svelte';
  import ServiceDue from './ServiceDue.svelte';
  import EditMachine from './EditMachine.svelte';
  import HoursLine from './HoursLine.svelte';
  import WarrantyLine from './WarrantyLine.svelte';

  const me = here();
  const tag = $derived((route.params as Record<string, string>)['tag'] ?? '');
  let olderThan = $state<number | undefined>();
  const machine = createQuery(() => machineQuery(tag, olderThan));

  const marks: Record<string, string> = {
    'booked-in': '→',
    edited: '∙',
    added: '→',
    confirmed: '◆',
    superseded: '✕',
    mended: '✓',
    'part-used': '▣',
    'proof-passed': '✓',
    'proof-failed': '✕',
    'red-tag-on': '▲',
    'red-tag-off': '△',
    'sent-out': '←',
  };
  const strong = new Set([
    'booked-in',
    'added',
    'edited',
    'confirmed',
    'mended',
    'part-used',
    'red-tag-on',
    'red-tag-off',
    'sent-out',
    'proof-failed',
    'superseded',
  ]);
  let every = $state(false);
  let editing = $state(false);
  let place = $state('');
  const family = $derived(me.words.families.find((one) => one.code === machine.data?.machine.family));
  const lines = $derived((machine.data?.timeline ?? []).filter((line) => every || strong.has(line.kind)));
</script>

<svelte:head><title>{tag} · Odd Bench</title></svelte:head>

{#if machine.data}
  {@const m = machine.data.machine}
  <main class="grid lg:min-h-[calc(100vh-7.6rem)] lg:grid-cols-[minmax(0,1fr)_400px]">
    <div class="min-w-0 px-4 py-4 md:px-5">
      <header class="flex flex-wrap items-center gap-3">
        <h1 class="flex items-center gap-3"><Tag tag={m.tag} large red={m.redTag} />{m.familyName}</h1>
        {#if m.openJob !== null}
          <a
            class="inline-flex min-h-11 items-center rounded-sm bg-action px-4 font-semibold text-white hover:bg-pressed"
            href={p('/jobs/:id', { params: { id: String(m.openJob) } })}>Open its job</a
          >
        {:else if me.person.meetsOwners}
          <LinkButton href="/book-in?tag={m.tag}">Book it in</LinkButton>
        {/if}
        {#if m.place === 'donor'}<a
            class="min-h-9 py-1.5 text-sm font-semibold text-action underline"
            href={p('/donors')}>What can be taken out of it</a
          >{/if}
        {#if me.person.meetsOwners}<button
            class="min-h-9 py-1.5 text-sm text-quiet underline"
            onclick={() => (editing = true)}>Edit</button
          >{/if}
        <a
          class="min-h-9 py-1.5 text-sm text-quiet underline"
          href={p('/machines/:tag/label', { params: { tag: m.tag } })}>Label</a
        >
        <a
          class="min-h-9 py-1.5 text-sm text-quiet underline"
          href={p('/families/:family/papers', { params: { family: m.family } })}>Papers</a
        >
        {#if machine.data.ownersPage}<a
            class="min-h-9 py-1.5 text-sm text-quiet underline"
            href={machine.data.ownersPage}
            target="_blank"
            rel="noopener">Page its owner sees</a
          >{/if}
      </header>
      {#if machine.data.redTag}
        <p class="hatch-edge mt-3 px-3 py-2">
          <strong class="text-red">Red tag.</strong>
          {machine.data.redTag.reason}, since {day(machine.data.redTag.putOnAt, me.zone)}.
        </p>
      {/if}
      <OwedLooks lists={machine.data.campaigns} />
      <WarrantyLine passport={machine.data} />
      <HoursLine passport={machine.data} />
      <dl class="mt-3 flex flex-wrap gap-x-8 gap-y-1">
        {#each [['Serial', m.serial ?? '–'], ['Whose', m.owner ?? (m.heldAs === 'farm' ? 'own farm' : 'bought for resale')], ['Reached', machine.data.ownerContact ?? '–'], ['Paid', machine.data.pricePaidMinor === null ? '–' : money(machine.data.pricePaidMinor, me.currency)]] as [name, value] (name)}
          {#if value !== '–'}<div>
              <dt class="text-sm text-quiet">{name}</dt>
              <dd class={name === 'Whose' || name === 'Reached' ? '' : 'fig'}>
                {#if name === 'Whose' && machine.data.ownerId !== null}<a
                    class="underline decoration-line hover:decoration-current"
                    href={p('/owners/:id', { params: { id: String(machine.data.ownerId) } })}>{value}</a
                  >{:else}{value}{/if}
              </dd>
            </div>{/if}
        {/each}
      </dl>
      {#if machine.data.notes}<p class="mt-2 max-w-3xl whitespace-pre-line text-quiet">
          {machine.data.notes}
        </p>{/if}
      <div class="rule-below mt-5 flex items-end justify-between pb-1.5">
        <h2>
          Timeline <span class="ml-1 text-sm font-normal text-quiet">along print hours, newest first</span>
        </h2>
        <Check small bind:checked={every}>every line</Check>
      </div>
      <ol>
        {#each lines as line, i (line.id)}
          {@const newJob = i === 0 || lines[i - 1]?.job !== line.job}
          <li
            class={[
              'grid grid-cols-[5.2rem_1.2rem_minmax(0,1fr)] gap-x-2 py-1',
              newJob && i > 0 && 'mt-1.5 border-t border-line pt-2',
            ]}
          >
            <span class="text-right"
              >{#if newJob && line.hours !== null}<span class="fig">{hours(line.hours)}</span>
                <span class="text-sm text-quiet">h</span>{/if}</span
            >
            <span
              aria-hidden="true"
              class={[
                'text-center',
                line.kind === 'red-tag-on' || line.kind === 'proof-failed' ? 'text-red' : 'text-action',
              ]}>{marks[line.kind] ?? '·'}</span
            >
            <span class="leading-snug break-words">
              {#if line.job === null}{line.text}{:else}<a
                  class="hover:underline"
                  href={p('/jobs/:id', { params: { id: String(line.job) } })}>{line.text}</a
                >{/if}
              <span class="text-sm text-quiet"
                >{line.by}, {day(line.at, me.zone)} {clock(line.at, me.zone)}</span
              >
            </span>
          </li>
        {:else}
          <li class="py-2 text-quiet">
            {olderThan
              ? 'Nothing of weight on this page; show every line.'
              : 'Nothing has happened to it here yet.'}
          </li>
        {/each}
      </ol>
      <p class="mt-3 flex gap-4">
        {#if machine.data.olderThan !== null}<button
            class="min-h-11 font-semibold text-action underline"
            onclick={() => (olderThan = machine.data?.olderThan ?? undefined)}>Older</button
          >{/if}
        {#if olderThan}<button
            class="min-h-11 font-semibold text-action underline"
            onclick={() => (olderThan = undefined)}>Newest</button
          >{/if}
      </p>
    </div>
    <aside class="border-line bg-side px-5 py-4 max-lg:border-t lg:border-l">
      <div class="flex items-baseline justify-between">
        <h2>Positions</h2>
        {#if place !== ''}<button class="min-h-9 text-sm text-quiet underline" onclick={() => (place = '')}
            >all of them</button
          >{/if}
      </div>
      {#if family}<PositionMap
          traits={family.traits}
          positions={machine.data.positions}
          bind:chosen={place}
        />{/if}
      <div class="mt-2">
        <PositionList positions={machine.data.positions} family={m.family} chosen={place} />
      </div>
      <ServiceDue passport={machine.data} />
      <h2 class="mt-5">
        Visits {#if machine.data.comebacks > 0}<span class="ml-1 text-sm font-normal text-waiting"
            ><span class="fig">{machine.data.comebacks}</span>
            {machine.data.comebacks === 1 ? 'comeback' : 'comebacks'}</span
          >{/if}
      </h2>
      <ul class="mt-1">
        {#each machine.data.jobs as job (job.id)}
          <li class="rule-below py-1.5 leading-snug">
            <a class="font-semibold hover:underline" href={p('/jobs/:id', { params: { id: String(job.id) } })}
              >{job.faults.join(', ') || (job.finishedAt ? job.kind : 'on the bench')}</a
            >
            <span class="block text-sm text-quiet"
              >{day(job.openedAt, me.zone)}{job.hours === null
                ? ''
                : ` at ${hours(job.hours)} h`}{job.destination
                ? ` · ${job.destination.toLowerCase()}`
                : ''}{#if job.sheet}&nbsp;· <a
                  class="underline"
                  href="/files/jobs/{job.id}/sheet.pdf"
                  target="_blank"
                  rel="noopener">sheet</a
                >{/if}</span
            >
            {#if job.comeback}<span class="block text-sm text-waiting">▢ a comeback</span>{/if}
            {#if job.warrantyUntil}<span class="block text-sm text-well"
                >repair stood for until {day(job.warrantyUntil, me.zone)}{job.warrantyHours === null
                  ? ''
                  : ` or ${hours(job.warrantyHours)} h`}</span
              >{/if}
          </li>
        {/each}
      </ul>
    </aside>
  </main>
  <EditMachine {tag} bind:open={editing} />
{:else if machine.isError}
  <main class="p-8">
    <h1>Not found</h1>
    <p class="mt-2">{machine.error.message}</p>
  </main>
{:else}
  <p class="p-8 text-quiet" role="status">Fetching the passport…</p>
{/if}
