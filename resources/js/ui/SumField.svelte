<script lang="ts">
  import { here } from '@/api/session.svelte';
  import Field from './Field.svelte';

  /** A sum of money, typed in the shop's currency. */
  interface Props {
    label: string;
    value: string;
    hint?: string;
    error?: string | undefined;
    focus?: boolean;
  }
  let { value = $bindable(), ...rest }: Props = $props();

  const me = here();
</script>

<Field {...rest} bind:value numeric unit={me.currency} />
