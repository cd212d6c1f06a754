<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { guidesQuery } from '@/api/queries';
  import type { GuideLine } from '@/api/types';
  import { navigate, p } from '@/router';
  import Field from '@/ui/Field.svelte';
  import { rowKeys } from '@/ui/rows';

  const guides = createQuery(() => guidesQuery());
  let text = $state('');

  const found = $derived.by(() => {
    const words = text.trim().toLowerCase().split(/\s+/).filter(Boolean);
    const has = (guide: GuideLine, word: string) =>
      `${guide.name} ${guide.area} ${guide.families.join(' ')}`.toLowerCase().includes(word);
    return (guides.data?.guides ?? []).filter((guide) => words.every((word) => has(guide, word)));
  });
  $effect(() => rowKeys(() => found.map((guide) => guide.code)));
  const areas = $derived([...new Set(found.map((guide) => guide.area))]);
</script>

<svelte:head><title>Guides · Odd Bench</title></svelte:head>

<main class="px-4 py-4 md:px-5">
  <div class="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
    <div>
      <h1>Guides</h1>
      <p class="mt-0.5 text-quiet">
        How work is done, with its cautions and clocks. Minutes are yours: they learn from each time.
      </p>
    </div>
    <div class="w-full max-w-sm">
      <Field
        label="A word of it"
        bind:value={text}
        onenter={() => found[0] && navigate('/guides/:code', { params: { code: found[0].code } })}
      />
    </div>
  </div>
  {#if guides.isPending}<p class="mt-4 text-quiet" role="status">Fetching the guides…</p>{/if}
  <div class="mt-3 gap-x-8 lg:columns-2 2xl:columns-3">
    {#each areas as area (area)}
      <section class="mb-4 break-inside-avoid">
        <h2 class="rule-below pb-1">{area}</h2>
        <ul>
          {#each found.filter((guide) => guide.area === area) as guide (guide.code)}
            <li class="rule-below">
              <a
                data-line={guide.code}
                class="grid grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-3 py-1.5 leading-snug hover:bg-wash max-lg:min-h-11"
                href={p('/guides/:code', { params: { code: guide.code } })}
              >
                <span>{guide.name}</span>
                <span class="text-right text-sm text-quiet"
                  ><span class="fig text-ink">{guide.estimate}</span> min{guide.times > 0
                    ? ` · ${guide.times}×`
                    : ''}</span
                >
              </a>
            </li>
          {/each}
        </ul>
      </section>
    {:else}
      {#if guides.data}<p class="text-quiet">No guide has this word. Try a part or a fault.</p>{/if}
    {/each}
  </div>
</main>
