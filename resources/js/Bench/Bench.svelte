<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { benchQuery } from '@/api/queries';
  import { keepJob } from '@/api/writes';
  import type { BenchLine } from '@/api/types';
  import { BenchPlaces, PlanWarnings } from '@/Plan';
  import { navigate, p } from '@/router';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import { clock, promised, since } from '@/ui/format';
  import { rowKeys } from '@/ui/rows';
  import Tag from '@/ui/Tag.svelte';
  import { Work } from '@/ui/work.svelte';
  import SmallRuler from './SmallRuler.svelte';

  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const bench = createQuery(() => benchQuery());
  const groups = $derived(bench.data?.groups ?? []);
  const lines = $derived(groups.flatMap((group) => group.lines));

  const marks = {
    'hands-on': ['●', 'text-action'],
    ready: ['○', 'text-action'],
    itself: ['◔', 'text-quiet'],
    waiting: ['▢', 'text-waiting'],
    'to-go': ['✓', 'text-well'],
  } as const;

  /** Into my hands, and to its screen. */
  async function start(line: BenchLine): Promise<void> {
    if (me.person.worksAtTheBench) {
      const taken = await work.do(async () =>
        keepJob(
          client,
          await told(
            api.POST('/jobs/{job}/hands', { params: { path: { job: line.job } }, body: { on: true } }),
          ),
        ),
      );
      if (!taken) return;
    }
    navigate('/jobs/:id', { params: { id: String(line.job) } });
  }

  const open = (line: BenchLine): string => p('/jobs/:id', { params: { id: String(line.job) } });

  $effect(() => rowKeys(() => lines.map((line) => line.job)));
</script>

<svelte:head><title>Bench · Odd Bench</title></svelte:head>

<div class="grid lg:min-h-[calc(100vh-7.6rem)] lg:grid-cols-[minmax(0,1fr)_330px]">
  <main class="min-w-0 px-4 py-2 md:px-5">
    <h1 class="sr-only">Bench</h1>
    <div class="mb-2"><BenchPlaces open={p('/')} /></div>
    {#if bench.data?.diskLow}
      <p role="status" class="mb-3 border-l-4 border-waiting bg-waiting-wash px-3 py-2 text-waiting">
        ◆ {bench.data.diskLow}
      </p>
    {/if}
    {#if bench.data?.claimsToMend || bench.data?.lettersDue}
      <p class="mb-3 flex flex-wrap gap-x-6 text-sm font-semibold">
        {#if bench.data.claimsToMend}<a
            class="inline-flex min-h-9 items-center text-out underline max-lg:min-h-11"
            href={p('/claims')}
            >▲ {bench.data.claimsToMend === 1
              ? 'A claim costs more waiting than it is worth'
              : `${bench.data.claimsToMend} claims cost more waiting than they are worth`}</a
          >{/if}
        {#if bench.data.lettersDue}<a
            class="inline-flex min-h-9 items-center text-waiting underline max-lg:min-h-11"
            href={p('/not-fetched')}
            >▢ {bench.data.lettersDue === 1 ? 'A letter is' : `${bench.data.lettersDue} letters are`} due to owners
            who have not come</a
          >{/if}
      </p>
    {/if}
    {#if bench.data?.backup}
      <p role="status" class="mb-3 border-l-4 border-waiting bg-waiting-wash px-3 py-2 text-waiting">
        ◆ {bench.data.backup}
      </p>
    {/if}
    {#if bench.isError}
      <p role="alert" class="text-out">✕ {bench.error.message}</p>
    {:else if bench.data && lines.length === 0}
      <div class="max-w-md py-10">
        <h2 class="text-lg">The bench is clear</h2>
        <p class="mt-1">Machines that are booked in stand here, each with the next thing to do on it.</p>
        {#if me.person.meetsOwners}
          <a class="mt-3 inline-block font-semibold text-action underline" href={p('/book-in')}
            >Book in the first machine</a
          >
          <p class="mt-3 text-sm text-quiet">
            A new shop? Bring in <a class="text-action underline" href={p('/machines-in')}>the machines</a>
            and
            <a class="text-action underline" href={p('/tables')}>the stock</a> it has, by a table each. To
            look round first: <code class="fig">bin/odd-bench up</code> runs a demo shop beside this one, never
            mixed with it.
          </p>
        {/if}
      </div>
    {/if}
    {#each groups as group (group.code)}
      <section class="mb-4" aria-labelledby="group-{group.code}">
        <h2 id="group-{group.code}" class="rule-below pb-1.5">
          {group.name} <span class="ml-1.5 text-sm font-normal text-quiet">{group.summary}</span>
        </h2>
        <ul>
          {#each group.lines as line (line.job)}
            <li class="rule-below">
              <a
                href={open(line)}
                data-line={line.job}
                class="grid min-h-11 grid-cols-[18px_auto_1fr_auto] items-center gap-x-3 py-1 hover:bg-wash focus-visible:bg-wash md:grid-cols-[16px_110px_78px_minmax(0,1fr)_90px_66px] xl:grid-cols-[16px_110px_minmax(112px,0.4fr)_78px_minmax(0,1fr)_90px_78px_66px]"
              >
                <span aria-hidden="true" class={marks[group.code][1]}>{marks[group.code][0]}</span>
                <Tag tag={line.tag} />
                <span class="truncate max-xl:hidden" title={line.owner ?? undefined}>{line.familyName}</span>
                <span class="max-md:hidden"
                  ><SmallRuler station={line.station} name={line.stationName} /></span
                >
                <span class="min-w-0">
                  <span class="line-clamp-2 leading-snug font-semibold break-words">
                    {#if line.redTag}<span class="hatch whitespace-nowrap mr-1 rounded-sm px-1 text-xs"
                        ><span class="bg-red px-0.5">RED TAG</span></span
                      >{/if}{line.next}
                  </span>
                  <span class="text-sm text-quiet xl:hidden"
                    >{line.familyName}{line.handsOf ? ' · ' : ''}</span
                  >
                  {#if line.handsOf}<span class="text-sm text-quiet">{line.handsOf}</span>{/if}
                </span>
                <span class="text-right whitespace-nowrap">
                  {#if line.minutes !== null}<span class="fig">{line.minutes}</span>
                    <span class="text-sm text-quiet">min</span>
                  {:else if line.until}<span class="text-sm text-quiet">until</span>
                    <span class="fig">{clock(line.until, me.zone)}</span>{/if}
                </span>
                <span class="text-sm whitespace-nowrap text-quiet max-xl:hidden"
                  >{since(line.since, me.zone)}</span
                >
                <span
                  class={[
                    'text-sm whitespace-nowrap max-md:hidden',
                    line.late ? 'font-bold text-out' : 'text-quiet',
                  ]}
                >
                  {#if line.promisedFor}{line.late ? 'late, ' : ''}{promised(line.promisedFor, me.zone)}{/if}
                </span>
              </a>
            </li>
          {/each}
        </ul>
      </section>
    {/each}
  </main>
  <aside class="border-line bg-side px-5 py-4 max-lg:border-t lg:border-l" aria-label="Today">
    {#if bench.data?.pick}
      {@const pick = bench.data.pick}
      <h2>Pick next</h2>
      <div class="mt-2 border border-action bg-sheet p-3.5">
        <p class="flex flex-wrap items-center gap-2">
          <Tag tag={pick.tag} /> <strong>{pick.familyName}</strong>
        </p>
        <p class="mt-2 font-semibold">{pick.next}</p>
        <p class="text-sm text-quiet">{bench.data.pickBecause}</p>
        <div class="mt-3">
          <Button kind="main" busy={work.busy} onclick={() => start(pick)}
            >{me.person.worksAtTheBench ? 'Start' : 'Open'}</Button
          >
        </div>
      </div>
    {/if}
    {#if bench.data}
      <h2 class="mt-5">Hands today</h2>
      <dl class="mt-1 grid grid-cols-[1fr_auto] gap-y-0.5">
        <dt class="text-quiet">Spent so far</dt>
        <dd class="text-right">
          <span class="fig">{bench.data.minutesDone}</span> <span class="text-sm text-quiet">min</span>
        </dd>
        <dt class="text-quiet">Next steps that are ready</dt>
        <dd class="text-right">
          <span class="fig">{bench.data.minutesReady}</span> <span class="text-sm text-quiet">min</span>
        </dd>
      </dl>
    {/if}
    <PlanWarnings warnings={bench.data?.warnings ?? []} />
    <h2 class="mt-5">Red tags</h2>
    {#each bench.data?.redTags ?? [] as tag (tag.tag)}
      <a
        href={tag.job === null
          ? p('/machines/:tag', { params: { tag: tag.tag } })
          : p('/jobs/:id', { params: { id: String(tag.job) } })}
        class="hatch-edge mt-2 block bg-sheet px-3 py-2 hover:bg-wash"
      >
        <Tag tag={tag.tag} />
        <span class="text-sm">{tag.reason}, {since(tag.since, me.zone).replace('since ', '')}</span>
        {#if tag.wantsSignature}<span class="block text-sm font-bold text-red"
            >A lead’s signature is wanted</span
          >{/if}
      </a>
    {:else}
      <p class="mt-1 text-sm text-quiet">
        None. Machines with a danger stand here until two people have signed.
      </p>
    {/each}
    {#if (bench.data?.service.length ?? 0) > 0}
      <h2 class="mt-5">Service is due</h2>
      <ul class="mt-1">
        {#each bench.data?.service ?? [] as line (line.tag)}
          <li class="rule-below">
            <a
              class="flex min-h-9 items-center justify-between gap-2 py-1 leading-tight hover:bg-wash max-lg:min-h-11"
              href={p('/machines/:tag', { params: { tag: line.tag } })}
            >
              <span class="min-w-0"
                ><Tag tag={line.tag} />
                <span class="text-sm"
                  >{line.names[0]}{line.names.length > 1 ? ` and ${line.names.length - 1} more` : ''}</span
                ></span
              >
              <span class="text-sm whitespace-nowrap text-quiet">{line.words}</span>
            </a>
          </li>
        {/each}
      </ul>
    {/if}
  </aside>
</div>
