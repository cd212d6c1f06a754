<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, asItIs, told } from '@/api/client';
  import { knowledgeQuery } from '@/api/queries';
  import { here } from '@/api/session.svelte';
  import { navigate, p } from '@/router';
  import FileButton from '@/ui/FileButton.svelte';
  import LinkButton from '@/ui/LinkButton.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** The families machines are of; a lead writes them. */
  const me = here();
  const client = useQueryClient();
  const work = new Work();

  const bring = (file: File) =>
    work.do(async () => {
      const family = await told(api.POST('/families/import', { ...asItIs(file) }));
      me.knowledge = await client.fetchQuery({ ...knowledgeQuery(), staleTime: 0 });
      navigate('/families/:family', { params: { family: family.code } });
    });
</script>

<svelte:head><title>Families · Odd Bench</title></svelte:head>

<main class="px-4 py-4 md:px-5">
  <p class="text-sm"><a class="text-quiet underline" href={p('/machines')}>Machines</a></p>
  <div class="flex flex-wrap items-center gap-3">
    <h1>Families</h1>
    {#if me.person.isLead}
      <LinkButton href="/families/new">Write a new one</LinkButton>
      <FileButton accept=".yaml,.yml" onfile={bring} busy={work.busy}>Bring one in (YAML)</FileButton>
    {/if}
  </div>
  <p class="mt-1 max-w-2xl text-quiet">
    What a family is decides which faults can be, what is looked at, where its wear parts sit and how far a
    printer of it may be driven.
  </p>
  {#if work.refusal}<div class="mt-3">
      <Problem message={work.refusal.message} reasons={work.refusal.errors.map((one) => one.message)} />
    </div>{/if}
  <ul class="mt-3 max-w-4xl border-t border-line">
    {#each me.words.families as family (family.code)}
      <li class="rule-below">
        <a
          class="grid min-h-11 grid-cols-[3rem_minmax(0,1fr)_auto] items-center gap-x-4 py-1 hover:bg-wash"
          href={p('/families/:family', { params: { family: family.code } })}
        >
          <span class="font-mono text-quiet">{family.letters}</span>
          <span
            ><strong>{family.name}</strong>
            <span class="text-sm text-quiet"
              >{[family.traits['motion'], family.traits['filament_path'], family.traits['chamber']]
                .filter(Boolean)
                .join(', ')}</span
            ></span
          >
          <span class="text-sm {family.unknown ? 'text-waiting' : 'text-quiet'}"
            >{family.unknown ? '▢ not written yet' : `${family.positions.length} positions`}</span
          >
        </a>
      </li>
    {/each}
  </ul>
</main>
