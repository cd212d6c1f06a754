<script lang="ts">
  import { here } from '@/api/session.svelte';
  import Field from '@/ui/Field.svelte';
  import Select from '@/ui/Select.svelte';
  import { traitNames } from '@/ui/traits';

  /** A machine of no family that is written down: what somebody can see of it is enough to begin. */
  interface Props {
    name: string;
    traits: Record<string, string>;
    error?: string | undefined;
    ontraits: (traits: Record<string, string>) => void;
  }
  let { name = $bindable(), traits, error, ontraits }: Props = $props();
  const me = here();
</script>

<div class="grid gap-3 border-l-4 border-wash pl-4">
  <Field
    label="What to call it"
    bind:value={name}
    maxlength={80}
    hint="as somebody here would know it again; its family is given later"
    {error}
  />
  <p class="text-sm text-quiet">What can be seen of it. What is left open rules nothing out.</p>
  <div class="grid gap-3 sm:grid-cols-2 xl:grid-cols-3">
    {#each Object.entries(me.words.traits) as [trait, values] (trait)}
      <Select
        label={traitNames[trait] ?? trait}
        bind:value={
          () => traits[trait] ?? '',
          (value) =>
            ontraits(
              Object.fromEntries(
                Object.entries({ ...traits, [trait]: value }).filter(([, one]) => one !== ''),
              ),
            )
        }
        none="not seen"
        choices={values.map((value) => ({ code: value, name: value }))}
        class="w-full"
      />
    {/each}
  </div>
</div>
