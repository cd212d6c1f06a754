<script lang="ts">
  import type { FullAutoFill } from 'svelte/elements';

  interface Props {
    label: string;
    value: string;
    type?: 'text' | 'password' | 'date';
    /** several lines when given */
    rows?: number;
    unit?: string;
    hint?: string;
    error?: string | undefined;
    numeric?: boolean;
    mono?: boolean;
    focus?: boolean;
    inputmode?: 'numeric';
    maxlength?: number;
    autocomplete?: FullAutoFill;
    onenter?: () => unknown;
  }
  let {
    label,
    value = $bindable(),
    type = 'text',
    rows,
    unit,
    hint,
    error,
    numeric = false,
    mono = false,
    focus = false,
    inputmode,
    maxlength,
    autocomplete = 'off',
    onenter,
  }: Props = $props();

  const id = $props.id();
  const described = $derived(error ? `${id}-error` : hint ? `${id}-hint` : undefined);

  function first(node: HTMLElement): void {
    if (focus) node.focus();
  }
</script>

<div>
  <label for={id} class="block text-sm font-semibold">{label}</label>
  <div class="relative mt-1">
    {#if rows}
      <textarea
        {id}
        {rows}
        {maxlength}
        bind:value
        use:first
        aria-invalid={error ? 'true' : undefined}
        aria-describedby={described}
        class={['field', error && 'border-2 border-out']}></textarea>
    {:else}
      <input
        {id}
        {type}
        {maxlength}
        {autocomplete}
        bind:value
        use:first
        inputmode={numeric ? 'decimal' : inputmode}
        aria-invalid={error ? 'true' : undefined}
        aria-describedby={described}
        onkeydown={(event) => {
          if (event.key === 'Enter' && onenter) {
            event.preventDefault();
            onenter();
          }
        }}
        class={[
          'field',
          (numeric || mono) && 'font-mono',
          unit && 'pr-16 text-right',
          error && 'border-2 border-out',
        ]}
      />
    {/if}
    {#if unit}<span class="pointer-events-none absolute top-1/2 right-3 -translate-y-1/2 text-quiet"
        >{unit}</span
      >{/if}
  </div>
  {#if error}
    <p id="{id}-error" class="mt-1 text-sm font-semibold text-out">✕ {error}</p>
  {:else if hint}
    <p id="{id}-hint" class="mt-1 text-sm text-quiet">{hint}</p>
  {/if}
</div>
