<script lang="ts">
  import type { Snippet } from 'svelte';
  import { type Look, looks, press } from './looks';

  /** A way to another place that looks like the press it is. */
  interface Props {
    href: string;
    children: Snippet;
    kind?: Look;
    /** in a window of its own, as a sheet to print */
    apart?: boolean;
  }
  let { href, children, kind = 'plain', apart = false }: Props = $props();
</script>

<a
  {href}
  target={apart ? '_blank' : undefined}
  rel={apart ? 'noopener' : undefined}
  class={[press, looks[kind]]}>{@render children()}</a
>
