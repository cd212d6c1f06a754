<script lang="ts">
  import type { Snippet } from 'svelte';
  import { type Look, looks, press } from './looks';

  /** Chooses a file, or takes a picture where there is a camera. The same file may be chosen twice. */
  interface Props {
    children: Snippet;
    onfile: (file: File) => unknown;
    accept?: string;
    /** opens the camera where there is one */
    camera?: boolean;
    kind?: Look;
    busy?: boolean;
    error?: string | undefined;
  }
  let { children, onfile, accept, camera = false, kind = 'plain', busy = false, error }: Props = $props();

  const id = $props.id();

  async function chosen(input: HTMLInputElement): Promise<void> {
    const file = input.files?.[0];
    if (!file || busy) return;
    await onfile(file);
    input.value = '';
  }
</script>

<label
  class={[
    press,
    looks[kind],
    'w-fit cursor-pointer focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-action',
    busy && 'opacity-55',
  ]}
  >{@render children()}<input
    type="file"
    class="sr-only"
    {accept}
    capture={camera ? 'environment' : undefined}
    aria-busy={busy}
    aria-disabled={busy}
    aria-invalid={error ? 'true' : undefined}
    aria-describedby={error ? `${id}-error` : undefined}
    onchange={(event) => void chosen(event.currentTarget)}
  /></label
>
{#if error}<p id="{id}-error" class="mt-1 text-sm font-semibold text-out">✕ {error}</p>{/if}
