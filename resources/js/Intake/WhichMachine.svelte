<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import CameraButton from '@/ui/CameraButton.svelte';
  import Field from '@/ui/Field.svelte';
  import { places } from '@/ui/places';
  import Tag from '@/ui/Tag.svelte';

  /** A machine that is known here: its tag, scanned or typed, or its serial, its owner, or part of them. */
  interface Props {
    tag: string;
    error?: string | undefined;
    /** one was chosen: the hand goes on */
    onchosen: () => unknown;
  }
  let { tag = $bindable(), error, onchosen }: Props = $props();

  let asked = $state('');
  let chosen = $state('');
  let timer: ReturnType<typeof setTimeout> | undefined;
  $effect(() => {
    const text = tag.trim();
    clearTimeout(timer);
    timer = setTimeout(() => (asked = text), 150);
  });
  const search = (text: string) => told(api.GET('/machines', { params: { query: { text } } }));
  const found = createQuery(() => ({
    queryKey: ['machines', asked, 'book-in'],
    queryFn: () => search(asked),
    enabled: asked.length > 1 && asked !== chosen,
  }));
  const shown = $derived(
    asked.length > 1 && asked !== chosen ? (found.data?.machines ?? []).slice(0, 6) : [],
  );

  function choose(one: string): void {
    chosen = one;
    tag = one;
    onchosen();
  }

  /** A scanner types and sends Enter; a label’s code is the address of its page. */
  async function read(text: string): Promise<void> {
    const words = text.trim();
    if (words.length < 2) return;
    if (words.includes('/')) {
      const { hits } = await told(api.GET('/scan', { params: { query: { text: words } } }));
      const hit = hits.find((one) => one.kind === 'machine' || one.kind === 'job');
      if (hit) choose(hit.title.split(' ')[0] ?? words);
      else tag = words;
      return;
    }
    const { machines } = await search(words);
    const only = machines.length === 1 ? machines[0] : undefined;
    const exact = machines.find(
      (one) =>
        one.tag.replaceAll('-', '').toLowerCase() === words.replace(/[\s-]/g, '').toLowerCase() ||
        one.serial?.toLowerCase() === words.toLowerCase(),
    );
    const one = exact ?? only;
    if (one) choose(one.tag);
    else asked = words;
  }
</script>

<div>
  <div class="flex items-end gap-2">
    <div class="min-w-0 flex-1">
      <Field
        label="Tag, serial or owner: scanned, or part of it typed"
        bind:value={tag}
        mono
        focus
        {error}
        onenter={() => read(tag)}
      />
    </div>
    <CameraButton onread={read} />
  </div>
  {#if shown.length > 0}
    <ul class="border border-t-0 border-edge bg-white" aria-label="Machines like that">
      {#each shown as one (one.tag)}
        <li>
          <button
            type="button"
            class="flex min-h-11 w-full flex-wrap items-center gap-x-3 px-3 py-1 text-left hover:bg-wash"
            onclick={() => choose(one.tag)}
            ><Tag tag={one.tag} red={one.redTag} /><span>{one.familyName}</span>
            <span class="text-sm text-quiet"
              >{one.owner ?? (one.heldAs === 'farm' ? 'own farm' : 'bought for resale')}{one.serial
                ? `, ${one.serial}`
                : ''}, {places[one.place as keyof typeof places]}</span
            ></button
          >
        </li>
      {/each}
    </ul>
  {:else if asked.length > 1 && asked !== chosen && found.data?.machines.length === 0}
    <p class="mt-1 text-sm text-waiting">▢ No machine here is like that. Is it new?</p>
  {/if}
</div>
