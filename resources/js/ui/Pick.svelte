<script lang="ts">
  import { Combobox } from 'bits-ui';
  import { tick } from 'svelte';
  import Key from './Key.svelte';

  interface Item {
    code: string;
    name: string;
    detail?: string;
  }
  interface Props {
    label: string;
    items: readonly Item[];
    placeholder?: string;
    error?: string | undefined;
    /** shown before anything is typed */
    showAll?: boolean;
    /** offered before anything is typed, each under its digit from 1 to 9 */
    quick?: readonly string[];
    keyHint?: string;
    /** stays empty after a choice, ready for the next */
    clears?: boolean;
    input?: HTMLElement | null;
    /** what is in the field while somebody types */
    typed?: string;
    onpick: (code: string) => unknown;
  }
  let {
    label,
    items,
    placeholder = '',
    error,
    showAll = false,
    quick = [],
    keyHint,
    clears = false,
    input = $bindable(null),
    typed = $bindable(''),
    onpick,
  }: Props = $props();

  const id = $props.id();
  let text = $state('');
  let chosen = $state('');
  $effect(() => {
    typed = text;
  });
  let open = $state(false);

  const fresh = $derived(quick.flatMap((code) => items.find((item) => item.code === code) ?? []).slice(0, 9));
  // while it is open, what stands under a digit does not change under the finger
  let held = $state<readonly Item[]>([]);
  const offered = $derived(held.length > 0 ? held : fresh);
  $effect(() => {
    if (!open) held = [];
    // nothing put in place of nothing would go round for ever
    else if (held.length === 0 && fresh.length > 0) held = fresh;
  });
  const numbered = $derived(text.trim() === '' && !showAll);

  /** Every word typed must begin a word of the name; names that begin with it come first. */
  const found = $derived.by(() => {
    const words = text.trim().toLowerCase().split(/\s+/).filter(Boolean);
    if (words.length === 0) return showAll ? items.slice(0, 60) : offered;
    const begins = (item: Item, word: string) =>
      `${item.name} ${item.code}`
        .toLowerCase()
        .split(/[^a-z0-9×]+/)
        .some((part) => part.startsWith(word));
    const first = words[0] ?? '';
    return items
      .filter((item) => words.every((word) => begins(item, word)))
      .sort(
        (a, b) =>
          Number(b.name.toLowerCase() === first) - Number(a.name.toLowerCase() === first) ||
          Number(b.name.toLowerCase().startsWith(first)) - Number(a.name.toLowerCase().startsWith(first)),
      )
      .slice(0, 9);
  });

  async function pick(code: string): Promise<void> {
    if (code === '') return;
    onpick(code);
    if (!clears) {
      text = items.find((item) => item.code === code)?.name ?? '';
      return;
    }
    // the field puts the chosen name in by itself; wait for that, then empty it for the next
    await tick();
    chosen = '';
    text = '';
    open = false;
    if (input instanceof HTMLInputElement) input.value = '';
  }
</script>

<div>
  <label for={id} class="block text-sm font-semibold"
    >{label}{#if keyHint}<kbd
        aria-hidden="true"
        class="ml-1.5 rounded-sm border border-line bg-white px-1.5 font-mono text-[0.8125rem] font-normal text-quiet"
        >{keyHint}</kbd
      >{/if}</label
  >
  <Combobox.Root type="single" bind:value={chosen} bind:open inputValue={text} onValueChange={pick} loop>
    <Combobox.Input
      {id}
      bind:ref={input}
      {placeholder}
      autocomplete="off"
      spellcheck="false"
      aria-invalid={error ? 'true' : undefined}
      oninput={(event) => {
        text = event.currentTarget.value;
        open = true;
      }}
      onfocus={() => {
        if (showAll || offered.length > 0) open = true;
      }}
      onkeydown={(event) => {
        const item = numbered && /^[1-9]$/.test(event.key) ? offered[Number(event.key) - 1] : undefined;
        if (item) {
          event.preventDefault();
          void pick(item.code);
        }
      }}
      class="field mt-1"
    />
    <Combobox.Portal>
      <Combobox.Content
        sideOffset={0}
        align="start"
        class={[
          'z-50 w-[var(--bits-combobox-anchor-width)] overflow-y-auto border border-edge bg-white shadow-lg',
          numbered ? 'max-h-[30rem] min-w-[min(26rem,90vw)]' : 'max-h-80 min-w-64',
        ]}
      >
        {#if numbered && found.length > 0}
          <p class="px-3 pt-2 text-sm text-quiet">Likely with what is known: press its digit, or type</p>
        {/if}
        {#each found as item, i (item.code)}
          <Combobox.Item
            value={item.code}
            label={item.name}
            class="flex min-h-11 items-center justify-between gap-3 px-3 py-1.5 leading-tight data-highlighted:bg-wash"
          >
            <span
              >{#if numbered}<Key>{i + 1}</Key>{/if}
              {item.name}</span
            >
            {#if item.detail && !numbered}<span class="shrink-0 text-sm text-quiet">{item.detail}</span>{/if}
          </Combobox.Item>
        {:else}
          <p class="px-3 py-2 text-sm text-quiet">
            {text.trim() === '' ? 'Type two or three letters.' : 'Nothing is called so. Try another word.'}
          </p>
        {/each}
      </Combobox.Content>
    </Combobox.Portal>
  </Combobox.Root>
  {#if error}<p class="mt-1 text-sm font-semibold text-out">✕ {error}</p>{/if}
</div>
