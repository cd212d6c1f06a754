<script lang="ts">
  import Field from '@/ui/Field.svelte';
  import Select from '@/ui/Select.svelte';
  import type { Signs } from './signs.svelte';

  let { signs, error }: { signs: Signs; error?: string | undefined } = $props();
</script>

{#if signs.asked}
  <div class="grid max-w-md grid-cols-[minmax(0,1fr)_9rem] gap-3">
    <Select
      label="Who signs"
      bind:value={() => signs.chosen, (code) => (signs.signer = code)}
      choices={signs.who}
      class="w-full"
    />
    <Field
      label="PIN"
      type="password"
      bind:value={signs.pin}
      mono
      inputmode="numeric"
      maxlength={6}
      autocomplete="one-time-code"
      {error}
    />
  </div>
  {#if signs.who.length === 0}
    <p class="text-sm text-waiting">
      ▢ Nobody who may sign this has a PIN yet. It is set under the own name, with the password.
    </p>
  {/if}
{/if}
