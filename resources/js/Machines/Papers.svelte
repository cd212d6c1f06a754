<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, asItIs, told } from '@/api/client';
  import { wrote } from '@/api/writes';
  import { papersQuery } from '@/api/queries';
  import type { Paper } from '@/api/types';
  import { route } from '@/router';
  import { here } from '@/api/session.svelte';
  import Form from '@/ui/Form.svelte';
  import FileButton from '@/ui/FileButton.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';
  import PaperPicture from './PaperPicture.svelte';

  /** Manuals, connector maps and drawings of a family, opened at the place that matters. */
  const client = useQueryClient();
  const me = here();
  const work = new Work();
  const code = $derived((route.params as Record<string, string>)['family'] ?? '');
  const family = $derived(me.words.families.find((one) => one.code === code));
  const papers = createQuery(() => papersQuery(code));
  const asked = new URLSearchParams(location.search);
  const wanted = $derived(asked.get('place') ?? '');
  let picked = $state<number | null>(null);
  let title = $state('');
  let file = $state<File | null>(null);

  const all = $derived(papers.data?.papers ?? []);
  const has = (paper: Paper): boolean => paper.marks.some((mark) => mark.code === wanted);
  const shown = $derived(
    all.find((paper) => paper.id === picked) ?? all.find((paper) => wanted !== '' && has(paper)) ?? all[0],
  );

  const keep = async (call: Promise<{ papers: Paper[] }>) => {
    wrote(client, 'papers', ['papers', code], await call);
  };

  async function add(): Promise<void> {
    if (!file) return;
    const sent = file;
    const params = { path: { family: code }, query: { title } };
    const kept = await work.do(() =>
      keep(told(api.POST('/families/{family}/papers', { params, ...asItIs(sent) }))),
    );
    if (kept) {
      title = '';
      file = null;
    }
  }

  const withdraw = (paper: Paper) =>
    work.do(() => keep(told(api.DELETE('/papers/{paper}', { params: { path: { paper: paper.id } } }))));
</script>

<svelte:head><title>Papers: {family?.name ?? code} · Odd Bench</title></svelte:head>

<main class="grid gap-5 px-4 py-4 md:px-5 lg:grid-cols-[19rem_minmax(0,1fr)]">
  <div>
    <h1>Papers: {family?.name ?? code}</h1>
    <p class="mt-0.5 text-sm text-quiet">
      Manuals, connector maps, drawings. Mark a position or a socket on a picture and jobs open it there.
    </p>
    <ul class="mt-2">
      {#each all as paper (paper.id)}
        <li class="rule-below">
          <button
            class={['min-h-11 w-full py-1 text-left leading-tight', paper === shown && 'font-bold']}
            aria-pressed={paper === shown}
            onclick={() => (picked = paper.id)}
            >{paper.title}
            <span class="text-sm font-normal text-quiet"
              >{paper.picture ? 'picture' : 'PDF'}{paper.marks.length > 0
                ? `, ${paper.marks.length} marked`
                : ''}</span
            ></button
          >
        </li>
      {:else}
        <li class="py-2 text-quiet">
          {papers.isPending
            ? 'Fetching the papers…'
            : 'No paper of this family is here yet. Add its manual or connector map.'}
        </li>
      {/each}
    </ul>
    {#if me.person.worksAtTheBench}
      <Form class="mt-4 grid gap-2.5" onsend={() => add()}>
        <h2>Add a paper</h2>
        <Field label="Title" bind:value={title} maxlength={160} error={work.error('title')} />
        <FileButton accept="application/pdf,image/*" onfile={(chosen) => (file = chosen)}
          >{file ? file.name : 'Choose a PDF or picture'}</FileButton
        >
        {#if work.refusal && !work.error('title')}<Problem message={work.refusal.message} />{/if}
        <div><Button kind="main" type="submit" busy={work.busy} disabled={!file}>Add it</Button></div>
      </Form>
    {/if}
  </div>
  {#if shown}
    <div class="min-w-0">
      <div class="flex flex-wrap items-center gap-3">
        <h2>{shown.title}</h2>
        <a class="text-sm text-quiet underline" href={shown.url} target="_blank" rel="noreferrer"
          >open alone</a
        >
        {#if me.person.worksAtTheBench}<Button
            kind="quiet"
            busy={work.busy}
            onclick={() => shown && withdraw(shown)}>Take it off the list</Button
          >{/if}
      </div>
      <PaperPicture paper={shown} {family} {wanted} {keep} />
    </div>
  {/if}
</main>
