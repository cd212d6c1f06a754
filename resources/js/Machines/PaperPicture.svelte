<script lang="ts">
  import { api, told } from '@/api/client';
  import type { Knowledge, Paper } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { number } from '@/ui/format';
  import Pick from '@/ui/Pick.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** A paper with its marks: on a picture a point, in a PDF a page. */
  let {
    paper,
    family,
    wanted,
    keep,
  }: {
    paper: Paper;
    family: Knowledge['families'][number] | undefined;
    wanted: string;
    keep: (call: Promise<{ papers: Paper[] }>) => Promise<void>;
  } = $props();

  const me = here();
  const work = new Work();
  let point = $state<{ x: number; y: number } | null>(null);
  let page = $state('1');

  const items = $derived([
    ...(family?.positions ?? []).map((one) => ({
      code: `position ${one.code}`,
      name: one.name,
      detail: 'position',
    })),
    ...(family?.sockets ?? []).map((name) => ({ code: `socket ${name}`, name, detail: 'socket' })),
  ]);
  const at = $derived(paper.marks.find((mark) => mark.code === wanted));

  async function mark(chosen: string): Promise<void> {
    const [kind, code] = chosen.split(' ') as ['position' | 'socket', string];
    const kept = await work.do(() =>
      keep(
        told(
          api.POST('/papers/{paper}/marks', {
            params: { path: { paper: paper.id } },
            body: { kind, code, page: number(page), x: point?.x ?? null, y: point?.y ?? null },
          }),
        ),
      ),
    );
    if (kept) point = null;
  }

  const unmark = (id: number) =>
    work.do(() =>
      keep(
        told(api.DELETE('/papers/{paper}/marks/{mark}', { params: { path: { paper: paper.id, mark: id } } })),
      ),
    );

  function pointAt(event: MouseEvent & { currentTarget: HTMLElement }): void {
    const box = event.currentTarget.getBoundingClientRect();
    point = { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height };
  }
</script>

{#if paper.picture}
  <div class="relative mt-2 w-fit max-w-full">
    <!-- marking is also possible without pointing: choose below and the middle is taken -->
    <button
      type="button"
      class="block cursor-crosshair"
      aria-label="Point at a place on {paper.title}"
      onclick={pointAt}
    >
      <img src={paper.url} alt={paper.title} class="max-h-[70vh] max-w-full border border-line bg-white" />
    </button>
    {#each paper.marks as mark (mark.id)}
      <span
        class={[
          'pointer-events-none absolute -translate-x-1/2 -translate-y-1/2 rounded-sm border-2 px-1 text-sm font-bold whitespace-nowrap',
          mark.code === wanted ? 'border-out bg-out text-white' : 'border-action bg-white/90 text-action',
        ]}
        style="left: {(mark.x ?? 0.5) * 100}%; top: {(mark.y ?? 0.5) * 100}%">{mark.name}</span
      >
    {/each}
    {#if point}<span
        class="pointer-events-none absolute size-4 -translate-x-1/2 -translate-y-1/2 rounded-full border-4 border-out"
        style="left: {point.x * 100}%; top: {point.y * 100}%"
      ></span>{/if}
  </div>
{:else}
  <iframe
    title={paper.title}
    src="{paper.url}#page={at?.page ?? 1}"
    class="mt-2 h-[70vh] w-full border border-line bg-white"
  ></iframe>
{/if}
{#if me.person.worksAtTheBench}
  <div class="mt-3 grid max-w-xl gap-2">
    {#if !paper.picture}<div class="w-28">
        <Field label="Page" bind:value={page} numeric error={work.error('page')} />
      </div>{/if}
    {#if paper.picture && !point}<p class="text-sm text-quiet">
        Press the place on the picture, then say what it is.
      </p>
    {:else}<Pick
        label={paper.picture ? 'What is here' : 'What is on this page'}
        {items}
        showAll
        clears
        onpick={mark}
      />{/if}
    {#if work.refusal}<Problem message={work.refusal.message} />{/if}
  </div>
{/if}
{#if paper.marks.length > 0}
  <ul class="mt-2 text-sm">
    {#each paper.marks as mark (mark.id)}
      <li class="flex flex-wrap items-center gap-2">
        {mark.name}
        {#if !paper.picture}<a
            class="underline"
            href="{paper.url}#page={mark.page}"
            target="_blank"
            rel="noreferrer">page {mark.page}</a
          >{/if}
        {#if me.person.worksAtTheBench}<Button kind="quiet" busy={work.busy} onclick={() => unmark(mark.id)}
            >take the mark off</Button
          >{/if}
      </li>
    {/each}
  </ul>
{/if}
