<script lang="ts">
  import type { Snippet } from 'svelte';
  import { type Look, looks, press } from './looks';

  interface Props {
    children: Snippet;
    kind?: Look;
    type?: 'button' | 'submit';
    busy?: boolean;
    disabled?: boolean;
    label?: string | undefined;
    onclick?: () => unknown;
  }
  let {
    children,
    kind = 'plain',
    type = 'button',
    busy = false,
    disabled = false,
    label,
    onclick,
  }: Props = $props();
</script>

<!-- busy is said, not made deaf by the browser: a button that is disabled under the hand drops the keyboard's focus -->
<button
  {type}
  onclick={(event) => {
    if (busy) event.preventDefault();
    else return onclick?.();
  }}
  aria-label={label}
  aria-busy={busy}
  aria-disabled={busy}
  {disabled}
  class={[press, 'disabled:opacity-55 aria-disabled:opacity-55', looks[kind]]}>{@render children()}</button
>
