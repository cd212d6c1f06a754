<script lang="ts">
  import type { Snippet } from 'svelte';

  /** A tick with its words, as large as a thumb on a tablet. */
  interface Props {
    checked: boolean;
    children: Snippet;
    disabled?: boolean;
    small?: boolean;
    title?: string | undefined;
  }
  let { checked = $bindable(), children, disabled = false, small = false, title }: Props = $props();
</script>

<label
  {title}
  class={[
    'flex items-center gap-2 leading-tight',
    small ? 'min-h-9 text-sm max-lg:min-h-11' : 'min-h-11 text-sm',
  ]}
>
  <input type="checkbox" class="size-5 shrink-0 accent-action" bind:checked {disabled} />
  <span>{@render children()}</span>
</label>
