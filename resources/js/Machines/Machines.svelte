<script lang="ts">
  import { createInfiniteQuery } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { FleetPlaces } from '@/Fleet';
  import { p } from '@/router';
  import { here } from '@/api/session.svelte';
  import Select from '@/ui/Select.svelte';
  import Field from '@/ui/Field.svelte';
  import { places, type Place } from '@/ui/places';
  import { hours } from '@/ui/format';
  import { rowKeys } from '@/ui/rows';
  import Tag from '@/ui/Tag.svelte';

  const me = here();
  let text = $state('');
  let family = $state('');
  let place = $state('');

  const machines = createInfiniteQuery(() => ({
    queryKey: ['machines', text.trim(), family, place],
    queryFn: ({ pageParam }: { pageParam: string | null }) =>
      told(
        api.GET('/machines', {
          params: {
            query: {
              ...(text.trim() ? { text: text.trim() } : {}),
              ...(family ? { family } : {}),
              ...(place ? { place: place as Place } : {}),
              ...(pageParam ? { after: pageParam } : {}),
            },
          },
        }),
      ),
    initialPageParam: null as string | null,
    getNextPageParam: (last) => last.next,
  }));
  const shown = $derived(machines.data?.pages.flatMap((page) => page.machines) ?? []);
  const all = $derived(machines.data?.pages[0]?.all ?? 0);

  $effect(() => rowKeys(() => shown.map((machine) => machine.tag)));
</script>

<svelte:head><title>Machines · Odd Bench</title></svelte:head>

<main class="px-4 py-2 md:px-5">
  <FleetPlaces />
  <div class="mt-1 flex flex-wrap items-end gap-3">
    <h1 class="mr-4 self-center">
      Machines <span class="ml-1 text-sm font-normal text-quiet"><span class="fig">{all}</span></span>
    </h1>
    <div class="w-64"><Field label="Tag, serial, owner or family" bind:value={text} /></div>
    <Select label="Family" bind:value={family} none="all" choices={me.words.families} class="w-44" />
    <Select
      label="Where"
      bind:value={place}
      none="anywhere"
      choices={Object.entries(places).map(([code, name]) => ({ code, name }))}
      class="w-44"
    />
  </div>
  <div class="mt-1 flex flex-wrap gap-x-5">
    {#if me.person.meetsOwners}<a
        class="min-h-11 py-2.5 lg:min-h-9 lg:py-1.5 text-sm font-semibold text-action underline"
        href={p('/counters')}>Read counters</a
      >
      <a
        class="min-h-11 py-2.5 lg:min-h-9 lg:py-1.5 text-sm font-semibold text-action underline"
        href={p('/machines-in')}>Bring machines in</a
      >
      <a
        class="min-h-11 py-2.5 lg:min-h-9 lg:py-1.5 text-sm font-semibold text-action underline"
        href={p('/machine-new')}>Add one</a
      >
      <a
        class="min-h-11 py-2.5 lg:min-h-9 lg:py-1.5 text-sm font-semibold text-action underline"
        href={p('/owners')}>Owners</a
      >{/if}
    <a
      class="min-h-11 py-2.5 text-sm font-semibold text-action underline lg:min-h-9 lg:py-1.5"
      href={p('/families')}>Families</a
    >
    <a
      class="min-h-11 py-2.5 lg:min-h-9 lg:py-1.5 text-sm font-semibold text-action underline"
      href="/labels?{new URLSearchParams(
        Object.entries({ text: text.trim(), family, place }).filter(([, value]) => value !== ''),
      )}">Labels of these</a
    >
  </div>
  {#if machines.isError}<p role="alert" class="mt-4 text-out">✕ {machines.error.message}</p>{/if}
  <ul class="mt-3 border-t border-line">
    {#each shown as machine (machine.tag)}
      <li class="rule-below">
        <a
          href={p('/machines/:tag', { params: { tag: machine.tag } })}
          data-line={machine.tag}
          class="grid min-h-11 grid-cols-[auto_1fr_auto] items-center gap-x-4 py-1 hover:bg-wash focus-visible:bg-wash md:grid-cols-[200px_minmax(0,1fr)_120px_120px] xl:grid-cols-[200px_150px_minmax(0,1fr)_130px_130px_130px]"
        >
          <Tag tag={machine.tag} red={machine.redTag} />
          <span>{machine.familyName}</span>
          <span class="truncate text-quiet max-xl:hidden"
            >{machine.owner ?? (machine.heldAs === 'farm' ? 'own farm' : 'bought for resale')}</span
          >
          <span class="font-mono text-sm text-quiet max-xl:hidden">{machine.serial ?? ''}</span>
          <span class="text-right max-md:hidden"
            >{#if machine.hoursAbout}<span class="text-sm text-quiet">about</span>{/if}
            <span class="fig">{hours(machine.hours)}</span> <span class="text-sm text-quiet">h</span></span
          >
          <span class={machine.place === 'bench' ? 'font-semibold text-action' : 'text-quiet'}
            >{places[machine.place as Place]}</span
          >
        </a>
      </li>
    {/each}
  </ul>
  {#if machines.data && shown.length === 0}
    <p class="mt-4 text-quiet">
      {text || family || place
        ? 'No machine is like that. Take a word away.'
        : 'Every machine that was booked in stands here with its history. Book in the first one.'}
    </p>
  {/if}
  {#if machines.hasNextPage}
    <button
      class="mt-3 min-h-11 font-semibold text-action underline"
      disabled={machines.isFetchingNextPage}
      onclick={() => machines.fetchNextPage()}
    >
      Show more
    </button>
  {/if}
</main>
