<script lang="ts">
  import { createInfiniteQuery, useQueryClient } from '@tanstack/svelte-query';
  import { tick } from 'svelte';
  import { api, told } from '@/api/client';
  import { here } from '@/api/session.svelte';
  import type { CounterLine } from '@/api/types';
  import { wrote } from '@/api/writes';
  import { p } from '@/router';
  import { day, hours } from '@/ui/format';
  import Select from '@/ui/Select.svelte';
  import Tag from '@/ui/Tag.svelte';
  import FromPrinter from './FromPrinter.svelte';
  import NoteCounter from './NoteCounter.svelte';

  /** A walk along the machines: each counter typed where one stands, Enter goes on to the next. */
  const me = here();
  const client = useQueryClient();
  let heldAs = $state<'farm' | 'owner' | 'resale' | ''>('farm');
  /** What was noted on this walk, by tag. */
  let noted = $state<Record<string, CounterLine>>({});
  let fields = $state<Record<string, HTMLInputElement | undefined>>({});

  const counters = createInfiniteQuery(() => ({
    queryKey: ['counters', heldAs],
    queryFn: ({ pageParam }: { pageParam: string | null }) =>
      told(
        api.GET('/counters', {
          params: { query: { ...(heldAs ? { heldAs } : {}), ...(pageParam ? { after: pageParam } : {}) } },
        }),
      ),
    initialPageParam: null as string | null,
    getNextPageParam: (last) => last.next,
  }));
  const lines = $derived(counters.data?.pages.flatMap((page) => page.lines) ?? []);
  const all = $derived(counters.data?.pages[0]?.all ?? 0);
  const done = $derived(Object.keys(noted).length);

  async function onnoted(line: CounterLine): Promise<void> {
    noted[line.tag] = line;
    wrote(client, 'machine');
    await tick();
    const at = lines.findIndex((one) => one.tag === line.tag);
    const next = lines.slice(at + 1).find((one) => !noted[one.tag]);
    if (next) fields[next.tag]?.focus();
  }
</script>

<svelte:head><title>Counters · Odd Bench</title></svelte:head>

<main class="px-4 py-4 md:px-5">
  <p class="text-sm"><a class="text-quiet underline" href={p('/machines')}>Machines</a></p>
  <div class="flex flex-wrap items-end gap-3">
    <h1 class="mr-4 self-center">
      Read counters <span class="ml-1 text-sm font-normal text-quiet"
        ><span class="fig">{done}</span> of <span class="fig">{all}</span> on this walk</span
      >
    </h1>
    <Select
      label="Whose"
      bind:value={heldAs}
      none="all that run"
      choices={[
        { code: 'farm', name: 'own farm' },
        { code: 'owner', name: 'owners’' },
      ]}
      class="w-44"
    />
  </div>
  <p class="mt-1 text-sm text-quiet">
    Type what each counter shows. Enter notes it and goes on to the next machine.
  </p>
  {#if counters.isError}<p role="alert" class="mt-4 text-out">✕ {counters.error.message}</p>{/if}
  <ul class="mt-3 border-t border-line">
    {#each lines as line (line.tag)}
      {@const now = noted[line.tag] ?? line}
      <li
        class="rule-below grid items-center gap-x-4 gap-y-1 py-1.5 md:grid-cols-[190px_130px_minmax(0,1fr)_minmax(240px,auto)]"
      >
        <a href={p('/machines/:tag', { params: { tag: line.tag } })}><Tag tag={line.tag} /></a>
        <span class="max-md:hidden">{line.familyName}</span>
        <span class="leading-tight">
          {#if noted[line.tag]}
            <span class="font-semibold text-well" role="status"
              >✓ noted {hours(now.last?.hours ?? null)} h</span
            >
            <span class="block text-sm text-quiet"
              >{now.perWeek === null
                ? 'how much it runs shows with the next reading'
                : `${Math.round(now.perWeek)} h a week`}</span
            >
          {:else if now.last}
            <span
              >about <span class="fig">{hours(now.hours)}</span> h
              {#if now.low !== null && now.high !== null}<span class="text-sm text-quiet"
                  >(<span class="fig">{hours(now.low)}</span> to
                  <span class="fig">{hours(now.high)}</span>)</span
                >{/if}</span
            >
            <span class="block text-sm text-quiet"
              >read <span class="fig">{hours(now.last.hours)}</span> on {day(now.last.at, me.zone)}</span
            >
          {:else}
            <span class="text-quiet">never read</span>
          {/if}
        </span>
        {#if me.person.meetsOwners}<div>
            <NoteCounter tag={line.tag} {onnoted} bind:field={fields[line.tag]} />
            {#if line.hasPrinter && !noted[line.tag]}<FromPrinter tag={line.tag} {onnoted} />{/if}
          </div>{/if}
      </li>
    {/each}
  </ul>
  {#if counters.data && lines.length === 0}
    <p class="mt-4 text-quiet">No machine of these runs anywhere just now. Machines in service stand here.</p>
  {/if}
  {#if counters.hasNextPage}
    <button
      class="mt-3 min-h-11 font-semibold text-action underline"
      disabled={counters.isFetchingNextPage}
      onclick={() => counters.fetchNextPage()}
    >
      Show more
    </button>
  {/if}
</main>
