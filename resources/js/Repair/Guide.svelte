<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { guideQuery } from '@/api/queries';
  import { p, route } from '@/router';
  import GuideSteps from './GuideSteps.svelte';

  const code = $derived((route.params as Record<string, string>)['code'] ?? '');
  const guide = createQuery(() => guideQuery(code));
  const kit = (line: NonNullable<typeof guide.data>['kit'][number]): string =>
    `${line.count > 1 ? `${line.count} × ` : ''}${line.name}${line.ifNeeded ? ', if needed' : ''}${line.school ? ` (${line.school})` : ''}`;
  const lists = $derived<[string, string[]][]>(
    guide.data
      ? [
          ['Tools', guide.data.tools],
          ['Kit', guide.data.kit.map(kit)],
          ['Mends', guide.data.mends],
          ['Touches', guide.data.touches],
          ['Owes these proofs', guide.data.proofs],
          ['For', guide.data.guide.families],
        ]
      : [],
  );
</script>

<svelte:head><title>{guide.data?.guide.name ?? 'Guide'} · Odd Bench</title></svelte:head>

{#if guide.data}
  {@const g = guide.data}
  <main class="grid lg:min-h-[calc(100vh-7.6rem)] lg:grid-cols-[minmax(0,1fr)_330px]">
    <div class="min-w-0 px-4 py-4 md:px-5">
      <p class="text-sm"><a class="text-quiet underline" href={p('/guides')}>Guides</a></p>
      <h1 class="mt-1">{g.guide.name}</h1>
      <p class="mt-1 max-w-prose">{g.state}</p>
      {#if g.guide.schools.length > 0}<p class="mt-1 text-sm text-quiet">
          Two ways, the shop chooses: {g.guide.schools.join(' · ')}
        </p>{/if}
      <div class="mt-4 max-w-3xl [&_ol]:gap-3"><GuideSteps steps={g.steps} every /></div>
    </div>
    <aside class="grid content-start gap-4 border-line bg-side px-5 py-4 max-lg:border-t lg:border-l">
      <section>
        <h2>Minutes</h2>
        <p class="text-sm">
          About <span class="fig">{g.guide.estimate}</span> for you ({g.guide.times === 0
            ? 'not done yet'
            : `done ${g.guide.times} times`}); <span class="fig">{g.guide.first}</span> the first time,
          <span class="fig">{g.guide.practised}</span> when practised.
        </p>
      </section>
      {#if g.kits.length > 0}
        <section>
          <h2>With what is on the shelf</h2>
          <table class="w-full text-sm">
            <tbody>
              {#each g.kits as one (one.familyName + (one.school ?? ''))}
                <tr class="rule-below align-baseline">
                  <td class="py-1">{one.familyName}{one.school ? ` (${one.school})` : ''}</td>
                  <td
                    class={['pl-2 text-right whitespace-nowrap', one.times === 0 && 'font-semibold text-out']}
                    >{#if one.times === 0}✕ not now{:else}<span class="fig">{one.times}</span>
                      {one.times === 1 ? 'time' : 'times'}{/if}</td
                  >
                  <td class="pl-2 text-right text-quiet"
                    >{one.times === 0 ? 'lacks' : 'then out of'} {one.shortest.join(', ')}</td
                  >
                </tr>
              {/each}
            </tbody>
          </table>
        </section>
      {/if}
      {#each lists as [name, list] (name)}
        <section>
          <h2>{name}</h2>
          {#if list.length > 0}
            <ul class="text-sm">
              {#each list as item, i (i)}<li>{item}</li>{/each}
            </ul>
          {:else}<p class="text-sm text-quiet">nothing</p>{/if}
        </section>
      {/each}
    </aside>
  </main>
{:else if guide.isError}
  <main class="p-8">
    <h1>No such guide</h1>
    <p class="mt-2"><a class="underline" href={p('/guides')}>All guides</a></p>
  </main>
{:else}
  <p class="p-8 text-quiet" role="status">Fetching the guide…</p>
{/if}
