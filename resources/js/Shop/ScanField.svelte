<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import type { ScanHit } from '@/api/types';
  import { navigate } from '@/router';
  import { onKeys } from '@/ui/keys';
  import CameraButton from '@/ui/CameraButton.svelte';
  import Key from '@/ui/Key.svelte';

  let text = $state('');
  let asked = $state('');
  let at = $state(0);
  let open = $state(false);
  let input: HTMLInputElement | undefined = $state();

  // a scanner types fast and ends with enter; a person gets answers while typing
  let timer: ReturnType<typeof setTimeout> | undefined;
  function typed(): void {
    open = true;
    at = 0;
    clearTimeout(timer);
    timer = setTimeout(() => (asked = text.trim()), 120);
  }

  const ask = (words: string) => told(api.GET('/scan', { params: { query: { text: words } } }));
  const found = createQuery(() => ({
    queryKey: ['scan', asked],
    queryFn: () => ask(asked),
    enabled: asked.length > 1,
  }));
  const hits = $derived(asked.length > 1 ? (found.data?.hits ?? []) : []);
  const shown = $derived(open && asked.length > 1 && found.data !== undefined);

  function go(hit: ScanHit): void {
    open = false;
    text = '';
    asked = '';
    input?.blur();
    if (hit.kind === 'job') navigate('/jobs/:id', { params: { id: hit.key } });
    else if (hit.kind === 'machine') navigate('/machines/:tag', { params: { tag: hit.key } });
    else if (hit.kind === 'spool') navigate('/spools');
    else navigate('/shelf/:number', { params: { number: hit.key } });
  }

  async function enter(): Promise<void> {
    const words = text.trim();
    if (words.length < 2) return;
    const { hits: fresh } = words === asked && found.data ? found.data : await ask(words);
    const hit = fresh[words === asked ? at : 0];
    if (hit) go(hit);
    else asked = words;
  }

  async function scanned(read: string): Promise<void> {
    text = read;
    open = true;
    await enter();
  }

  function key(event: KeyboardEvent): void {
    if (event.key === 'ArrowDown') at = Math.min(at + 1, hits.length - 1);
    else if (event.key === 'ArrowUp') at = Math.max(at - 1, 0);
    else if (event.key === 'Enter') void enter();
    else if (event.key === 'Escape') {
      open = false;
      input?.blur();
    } else return;
    event.preventDefault();
  }

  $effect(() => onKeys({ '/': () => input?.focus() }));
</script>

<div class="flex gap-2">
  <div class="relative min-w-0 flex-1">
    <input
      bind:this={input}
      bind:value={text}
      oninput={typed}
      onkeydown={key}
      onfocus={() => (open = true)}
      onblur={() => setTimeout(() => (open = false), 150)}
      type="search"
      role="combobox"
      aria-label="Scan or type a tag, a bin, a part or a name"
      aria-expanded={shown}
      aria-controls="scan-hits"
      aria-activedescendant={shown && hits.length > 0 ? `scan-hit-${at}` : undefined}
      autocomplete="off"
      spellcheck="false"
      placeholder="Scan or type"
      class="field min-h-9 py-1.5 pr-10 max-lg:min-h-11"
    />
    <span class="pointer-events-none absolute top-1/2 right-2 -translate-y-1/2"><Key>/</Key></span>
    <ul
      id="scan-hits"
      role="listbox"
      aria-label="Found"
      hidden={!shown || hits.length === 0}
      class="absolute inset-x-0 top-full z-40 border border-t-0 border-edge bg-white shadow-lg"
    >
      {#each hits as hit, i (hit.kind + hit.key)}
        <li
          id="scan-hit-{i}"
          role="option"
          aria-selected={i === at}
          class={['px-3 py-2', i === at && 'bg-wash']}
          onpointerdown={() => go(hit)}
        >
          <span class="font-semibold">{hit.title}</span>
          <span class="block text-sm text-quiet">{hit.detail}</span>
        </li>
      {/each}
    </ul>
    {#if shown && (found.data?.problem || hits.length === 0)}
      <p
        role="status"
        class="absolute inset-x-0 top-full z-30 border border-edge bg-white p-3 text-sm shadow-lg"
      >
        {found.data?.problem ?? `Nothing here is called “${asked}”.`}
      </p>
    {/if}
  </div>
  <CameraButton small onread={scanned} />
</div>
