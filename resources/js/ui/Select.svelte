<script lang="ts">
  /** One of a list; the browser's own, which a tablet shows as it is used to. */
  interface Props {
    label: string;
    value: string;
    choices: readonly { code: string; name: string }[];
    /** what choosing nothing means, such as “anywhere”; left out where something must be chosen */
    none?: string;
    error?: string | undefined;
    class?: string;
    /** where the choice is kept elsewhere, as in the address */
    onpick?: (value: string) => unknown;
  }
  let { label, value = $bindable(), choices, none, error, class: width = '', onpick }: Props = $props();

  const id = $props.id();
</script>

<div>
  <label for={id} class="block text-sm font-semibold">{label}</label>
  <select
    {id}
    bind:value
    onchange={() => onpick?.(value)}
    aria-invalid={error ? 'true' : undefined}
    aria-describedby={error ? `${id}-error` : undefined}
    class={['field mt-1 block', width, error && 'border-2 border-out']}
  >
    {#if none !== undefined}<option value="">{none}</option>{/if}
    {#each choices as choice (choice.code)}<option value={choice.code}>{choice.name}</option>{/each}
  </select>
  {#if error}<p id="{id}-error" class="mt-1 text-sm font-semibold text-out">✕ {error}</p>{/if}
</div>
