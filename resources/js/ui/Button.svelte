<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    children: Snippet;
    /** main: the next thing to do; plain: any other; quiet: a small one in a line; red: about danger */
    kind?: 'main' | 'plain' | 'quiet' | 'red';
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

  const looks = {
    main: 'min-h-11 border border-action bg-action px-4 font-semibold text-white hover:bg-pressed',
    plain: 'min-h-11 border border-action bg-white px-3.5 font-semibold text-action hover:bg-wash',
    quiet: 'min-h-9 px-1.5 text-sm text-quiet underline hover:text-ink',
    red: 'min-h-11 border-2 border-red bg-white px-3.5 font-semibold text-red hover:bg-out-wash',
  };
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
  class={[
    'inline-flex items-center justify-center gap-1 rounded-sm leading-tight disabled:opacity-55 aria-disabled:opacity-55',
    looks[kind],
  ]}>{@render children()}</button
>
