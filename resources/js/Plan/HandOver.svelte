<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { here } from '@/api/session.svelte';
  import { p } from '@/router';
  import Button from '@/ui/Button.svelte';
  import { clock, day } from '@/ui/format';
  import Tag from '@/ui/Tag.svelte';
  import BenchPlaces from './BenchPlaces.svelte';

  const me = here();
  const sheet = createQuery(() => ({
    queryKey: ['hand-over'],
    queryFn: () => told(api.GET('/plan/hand-over')),
    refetchInterval: 15_000,
  }));
  const parts = $derived(
    sheet.data
      ? [
          {
            code: 'hot',
            name: 'Hot, running, dangerous',
            lines: sheet.data.hot,
            none: 'Nothing is hot and nothing runs.',
          },
          { code: 'open', name: 'Open', lines: sheet.data.open, none: 'Nothing is taken apart or in hands.' },
          {
            code: 'promised',
            name: 'Promised',
            lines: sheet.data.promised,
            none: 'Nothing is promised for today or tomorrow.',
          },
          {
            code: 'counted',
            name: 'Counted on',
            lines: sheet.data.countedOn,
            none: 'Nothing is to come and nothing to be started.',
          },
          { code: 'call', name: 'To call', lines: sheet.data.call, none: 'Nobody waits for a call.' },
          { code: 'done', name: 'Sent out today', lines: sheet.data.done, none: 'Nothing yet.' },
        ]
      : [],
  );
</script>

<svelte:head><title>Hand-over · Odd Bench</title></svelte:head>

<main class="min-w-0 px-4 py-2 md:px-5 lg:min-h-[calc(100vh-7.6rem)]">
  <div class="print:hidden"><BenchPlaces open={p('/hand-over')} /></div>
  {#if sheet.isError}
    <p role="alert" class="mt-4 text-out">✕ {sheet.error.message}</p>
  {:else if sheet.data}
    <div class="mt-2 flex flex-wrap items-center justify-between gap-3">
      <h1>Hand-over, {day(sheet.data.at, me.zone)} {clock(sheet.data.at, me.zone)}</h1>
      <span class="print:hidden"><Button onclick={() => window.print()}>Print</Button></span>
    </div>
    <div class="mt-1 grid gap-x-10 lg:grid-cols-2 print:grid-cols-1">
      {#each parts as part (part.code)}
        <section class="mt-3 min-w-0 break-inside-avoid" aria-labelledby="part-{part.code}">
          <h2 id="part-{part.code}" class="rule-below pb-1">{part.name}</h2>
          <ul>
            {#each part.lines as line (`${line.tag ?? ''} ${line.words}`)}
              <li class="rule-below flex min-h-9 flex-wrap items-center gap-x-2.5 py-1 leading-snug">
                {#if line.tag && line.job}<a
                    class="inline-flex items-center max-lg:min-h-11"
                    href={p('/jobs/:id', { params: { id: String(line.job) } })}><Tag tag={line.tag} /></a
                  >{:else if line.tag}<Tag tag={line.tag} />{/if}
                <span class={['min-w-0 flex-1 basis-60 break-words', line.urgent && 'font-semibold text-out']}
                  >{line.urgent ? '◆ ' : ''}{line.words}</span
                >
                {#if line.contact}<span class="text-sm break-all text-quiet">{line.contact}</span>{/if}
              </li>
            {:else}
              <li class="py-1 text-sm text-quiet">{part.none}</li>
            {/each}
          </ul>
        </section>
      {/each}
    </div>
  {/if}
</main>
