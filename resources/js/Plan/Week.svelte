<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { here } from '@/api/session.svelte';
  import { p } from '@/router';
  import { clock, dayIn } from '@/ui/format';
  import Tag from '@/ui/Tag.svelte';
  import BenchPlaces from './BenchPlaces.svelte';
  import { long } from './ruler';

  const me = here();
  const week = createQuery(() => ({
    queryKey: ['plan-week'],
    queryFn: () => told(api.GET('/plan/week')),
    refetchInterval: 15_000,
  }));
  const name = (day: string): string =>
    new Intl.DateTimeFormat('en-GB', {
      weekday: 'short',
      day: 'numeric',
      month: 'short',
      timeZone: 'UTC',
    }).format(new Date(`${day}T00:00:00Z`));
  const job = (id: number): string => p('/jobs/:id', { params: { id: String(id) } });
</script>

<svelte:head><title>This week · Odd Bench</title></svelte:head>

<main class="min-w-0 px-4 py-2 md:px-5 lg:min-h-[calc(100vh-7.6rem)]">
  <h1 class="sr-only">This week</h1>
  <BenchPlaces open={p('/week')} />
  {#if week.isError}
    <p role="alert" class="mt-4 text-out">✕ {week.error.message}</p>
  {:else if week.data}
    {#each week.data.days as day (day.day)}
      <section
        class="rule-below grid gap-x-5 gap-y-1 py-2.5 md:grid-cols-[110px_230px_minmax(0,1fr)]"
        aria-labelledby="day-{day.day}"
      >
        <h2 id="day-{day.day}" class={day.shut ? 'text-quiet' : ''}>
          {day.day === dayIn(me.zone) ? 'Today' : name(day.day)}
          {#if day.shut}<span class="block text-sm font-normal">{day.shut}</span>{/if}
        </h2>
        <ul class="text-sm">
          {#each day.loads.filter((one) => one.planned > 0) as load (load.name)}
            <li class="grid grid-cols-[70px_minmax(0,1fr)_76px] items-center gap-2">
              <span class="truncate" title={load.name}>{load.name.split(' ')[0]}</span>
              <span class="h-2.5 border border-line bg-white"
                ><span
                  class={['block h-full', load.planned > load.here ? 'bg-out' : 'bg-action']}
                  style="width: {Math.min(100, (100 * load.planned) / load.here)}%"
                ></span></span
              >
              <span class="text-right text-quiet"><span class="fig">{long(load.planned)}</span></span>
            </li>
          {/each}
        </ul>
        <div class="flex min-w-0 flex-wrap items-center gap-x-4 gap-y-1">
          {#each day.ready as one (one.job)}
            <a
              href={job(one.job)}
              class="inline-flex min-h-9 items-center gap-2 hover:underline max-lg:min-h-11"
            >
              <Tag tag={one.tag} />
              <span class={['text-sm', one.late > 0 ? 'font-bold text-out' : 'text-quiet']}
                >{one.late > 0
                  ? `${one.late === 1 ? 'a day' : `${one.late} days`} late`
                  : `ready ${one.at ? clock(one.at, me.zone) : ''}${one.due ? ', promised' : ''}`}</span
              >
            </a>
          {/each}
          {#each day.parts as part (part)}<span class="text-sm text-well">▼ {part}</span>{/each}
          {#if !day.shut && day.ready.length + day.parts.length === 0}<span class="text-sm text-quiet"
              >{day.loads.some((one) => one.planned > 0)
                ? 'nothing is ready on that day'
                : 'nothing is planned for that day yet'}</span
            >{/if}
        </div>
      </section>
    {/each}
    {#if week.data.later.length > 0}
      <section class="py-2.5" aria-labelledby="later">
        <h2 id="later">Later, or in no plan</h2>
        <div class="mt-1 flex flex-wrap gap-x-4">
          {#each week.data.later as one (one.job)}
            <a href={job(one.job)} class="inline-flex min-h-11 items-center gap-2 hover:underline">
              <Tag tag={one.tag} />
              <span class={['text-sm', one.late > 0 ? 'font-bold text-out' : 'text-quiet']}
                >{one.at ? name(one.at.slice(0, 10)) : 'in no plan'}</span
              >
            </a>
          {/each}
        </div>
      </section>
    {/if}
  {/if}
</main>
