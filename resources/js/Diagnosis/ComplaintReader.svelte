<script lang="ts">
  import { api, told } from '@/api/client';

  /** Reads what a customer says as it is typed and offers what it may mean; nothing is put down unless somebody presses. */
  interface Props {
    text: string;
    family: string | null;
    /** findings that are down or picked already */
    known: ReadonlySet<string>;
    onpress: (finding: { code: string; name: string }) => unknown;
    label?: string;
    most?: number;
    busy?: boolean;
  }
  let {
    text,
    family,
    known,
    onpress,
    label = 'This may mean: press what is so',
    most = 5,
    busy = false,
  }: Props = $props();

  const PAUSE_MS = 300;
  let heard = $state<{ code: string; name: string; words: string[]; redTag: boolean }[]>([]);
  let danger = $state<{ finding: string; statement: string }[]>([]);
  const offered = $derived(heard.filter((finding) => !known.has(finding.code)).slice(0, most));
  const open = $derived(danger.filter((raised) => !known.has(raised.finding)));

  $effect(() => {
    const words = text.trim();
    const of = family;
    if (words.length < 4) {
      heard = [];
      danger = [];
      return;
    }
    let over = false;
    const timer = setTimeout(async () => {
      try {
        const read = await told(api.POST('/complaints', { body: { text: words, family: of } }));
        if (!over) {
          heard = read.findings;
          danger = read.danger;
        }
      } catch {
        // an offer that does not come keeps nobody from typing
      }
    }, PAUSE_MS);
    return () => {
      over = true;
      clearTimeout(timer);
    };
  });
</script>

<div aria-live="polite">
  {#if open.length > 0}
    <p class="mt-1.5 border-l-4 border-red bg-out-wash px-3 py-1.5 text-sm text-red">
      ▲ Ask before any power: {open.map((raised) => raised.statement).join('? ')}?
    </p>
  {/if}
  {#if offered.length > 0}
    <p class="mt-1.5 text-sm text-quiet">{label}</p>
    <div class="mt-1 flex flex-wrap gap-1.5">
      {#each offered as finding (finding.code)}
        <button
          type="button"
          disabled={busy}
          title="by: {finding.words.join(', ')}"
          class={[
            'min-h-9 rounded-sm border bg-white px-2.5 text-left text-sm leading-tight hover:bg-wash max-lg:min-h-11',
            finding.redTag ? 'border-red text-red' : 'border-edge',
          ]}
          onclick={() => onpress({ code: finding.code, name: finding.name })}>+ {finding.name}</button
        >
      {/each}
    </div>
  {/if}
</div>
