<script lang="ts" generics="T extends string">
  import { RadioGroup } from 'bits-ui';

  interface Props {
    label: string;
    value: T | '';
    choices: readonly { code: T; name: string; hint?: string }[];
    error?: string | undefined;
    disabled?: boolean;
    onchange?: (value: T) => unknown;
  }
  let { label, value = $bindable(), choices, error, disabled = false, onchange }: Props = $props();
  const id = $props.id();
</script>

<div>
  <p {id} class="text-sm font-semibold">{label}</p>
  <RadioGroup.Root
    bind:value={() => value, (chosen) => (value = chosen as T)}
    onValueChange={(chosen) => onchange?.(chosen as T)}
    orientation="horizontal"
    {disabled}
    aria-labelledby={id}
    class="mt-1 flex flex-wrap gap-1.5"
  >
    {#each choices as choice (choice.code)}
      <RadioGroup.Item
        value={choice.code}
        class="flex min-h-11 items-center rounded-sm border border-edge bg-white px-3 text-left leading-tight hover:bg-wash data-[state=checked]:border-action data-[state=checked]:bg-action data-[state=checked]:font-semibold data-[state=checked]:text-white"
      >
        {#snippet children({ checked })}
          <span aria-hidden="true" class="mr-1.5">{checked ? '●' : '○'}</span>{choice.name}
        {/snippet}
      </RadioGroup.Item>
    {/each}
  </RadioGroup.Root>
  {#if error}<p class="mt-1 text-sm font-semibold text-out">✕ {error}</p>{/if}
</div>
