<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { campaignQuery } from '@/api/queries';
  import { here } from '@/api/session.svelte';
  import { wrote } from '@/api/writes';
  import { p, route } from '@/router';
  import CameraButton from '@/ui/CameraButton.svelte';
  import Problem from '@/ui/Problem.svelte';
  import Tag from '@/ui/Tag.svelte';
  import { Work } from '@/ui/work.svelte';
  import BoundsBar from './BoundsBar.svelte';

  /** Along the shelf with a phone in one hand: scan a tag, look, press. The thumb never leaves the lower half. */
  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const id = $derived(Number(route.params.id));
  const query = createQuery(() => campaignQuery(id));
  const it = $derived(query.data);
  const left = $derived(it?.machines.filter((machine) => machine.affected === null) ?? []);
  const may = $derived(me.person.worksAtTheBench && it?.closedAt === null);
  let chosen = $state<string | null>(null);
  let typed = $state('');
  let note = $state('');
  let last = $state('');
  const at = $derived(it?.machines.find((machine) => machine.tag === chosen) ?? left[0]);

  /** A scanned label may be an address; the tag is its end. */
  function scanned(text: string): void {
    const plain = (text.trim().split('/').at(-1) ?? '').toUpperCase().replaceAll('-', '').replaceAll(' ', '');
    typed = '';
    const found = it?.machines.find((machine) => machine.tag.replaceAll('-', '') === plain);
    if (found) {
      chosen = found.tag;
      work.refusal = null;
      last = '';
    } else last = `${text.trim()} is not on this campaign.`;
  }

  const look = (affected: boolean) =>
    work.do(async () => {
      if (!at) return;
      const { tag } = at;
      const now = await told(
        api.POST('/campaigns/{campaign}/looks', {
          params: { path: { campaign: id } },
          body: { tag, affected, note: note.trim() || null },
        }),
      );
      wrote(client, 'looks', ['campaign', id], now);
      last = `${tag}: ${affected ? 'affected' : 'well'}.${affected && it?.danger ? ' Switch it off and pull its plug now.' : ''}`;
      [chosen, note] = [null, ''];
    });
</script>

<svelte:head><title>Walk: {it?.name ?? 'campaign'} · Odd Bench</title></svelte:head>

<main class="mx-auto flex min-h-[calc(100vh-8.5rem)] max-w-xl flex-col px-4 py-2">
  {#if query.isError}<Problem message={query.error.message} />{/if}
  {#if it}
    <p class="text-sm">
      <a class="underline" href={p('/campaigns/:id', { params: { id: String(id) } })}>{it.name}</a>
      <span class="text-quiet"
        >· <span class="fig">{it.looked}</span> of <span class="fig">{it.all}</span> looked at</span
      >
    </p>
    <BoundsBar all={it.all} looked={it.looked} least={it.least} most={it.most} />
    <p class="mt-1 text-sm">{it.lookFor ?? it.look}</p>
    {#each it.cautions as caution (caution)}<p class="mt-1 text-sm text-waiting">△ {caution}</p>{/each}
    <div class="flex-1"></div>
    {#if last}<p class="mb-2 text-sm font-semibold" role="status">{last}</p>{/if}
    <Problem message={work.refusal?.message} />
    {#if at && may}
      <div class="border border-line bg-side p-3">
        <p class="text-sm text-quiet">
          {at.affected === null ? (chosen === null ? 'Next' : 'Scanned') : 'Looked at before'}{at.stands
            ? `: ${at.stands}`
            : ''}
        </p>
        <p class="mt-0.5 flex flex-wrap items-center gap-3">
          <Tag tag={at.tag} large red={at.redTag} /> <span>{at.familyName}</span>
        </p>
        <input
          class="field mt-2"
          placeholder="What is seen, if anything"
          aria-label="Note for {at.tag}"
          maxlength="200"
          bind:value={note}
        />
        <div class="mt-3 grid grid-cols-2 gap-3">
          <button
            type="button"
            class="min-h-20 rounded-sm border-2 border-well bg-well-wash text-lg font-bold text-well"
            aria-busy={work.busy}
            onclick={() => look(false)}>✓ Well</button
          >
          <button
            type="button"
            class="min-h-20 rounded-sm border-2 border-out bg-out-wash text-lg font-bold text-out"
            aria-busy={work.busy}
            onclick={() => look(true)}>✕ Affected</button
          >
        </div>
      </div>
      <form
        class="mt-3 flex gap-2 pb-3"
        onsubmit={(event) => {
          event.preventDefault();
          scanned(typed);
        }}
      >
        <input
          class="field flex-1 font-mono"
          placeholder="Scan or type a tag"
          aria-label="Scan or type a tag"
          bind:value={typed}
        />
        <CameraButton onread={scanned} />
      </form>
    {:else if it.closedAt}
      <p class="pb-6 font-semibold">This campaign is ended.</p>
    {:else}
      <p class="pb-6 font-semibold">
        All are looked at. <a class="underline" href={p('/campaigns/:id', { params: { id: String(id) } })}
          >What was found</a
        >
      </p>
    {/if}
  {:else if !query.isError}<p class="text-quiet" role="status">Fetching the campaign…</p>{/if}
</main>
