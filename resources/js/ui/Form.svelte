<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { HTMLFormAttributes } from 'svelte/elements';

  /** A form whose sending is ours: Enter in a field and its button both come here. */
  interface Props extends Omit<HTMLFormAttributes, 'onsubmit'> {
    onsend: () => unknown;
    form?: HTMLFormElement | null | undefined;
    children: Snippet;
  }
  let { onsend, form = $bindable(), children, ...rest }: Props = $props();
</script>

<form
  bind:this={form}
  {...rest}
  onsubmit={(event) => {
    event.preventDefault();
    onsend();
  }}
>
  {@render children()}
</form>
