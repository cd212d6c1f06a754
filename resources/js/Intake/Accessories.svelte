<script lang="ts">
  import Check from '@/ui/Check.svelte';
  import Button from '@/ui/Button.svelte';
  import type { CameAlong } from './cameAlong';

  /** Ticks what came along, with how many of it. */
  interface Props {
    list: CameAlong[];
    offered: { code: string; name: string }[];
    error?: string | undefined;
    onchange: (list: CameAlong[]) => void;
  }
  let { list, offered, error, onchange }: Props = $props();
  let other = $state('');

  const rows = $derived([
    ...offered.map((one) => ({ ...one, of: list.find((line) => line.code === one.code) })),
    ...list
      .filter((line) => !offered.some((one) => one.code === line.code))
      .map((line) => ({ code: line.code, name: line.name, of: line as CameAlong | undefined })),
  ]);

  const same = (line: CameAlong, row: { code: string | null; name: string }): boolean =>
    row.code === null ? line.code === null && line.name === row.name : line.code === row.code;
  function set(row: { code: string | null; name: string }, came: number): void {
    const rest = list.filter((line) => !same(line, row));
    const before = list.find((line) => same(line, row));
    if (came <= 0) onchange(rest);
    else if (before)
      onchange(
        list.map((line) => (line === before ? { ...line, came, went: Math.min(line.went, came) } : line)),
      );
    else onchange([...list, { code: row.code, name: row.name, came, went: 0, staysBecause: null }]);
  }
  function add(): void {
    const name = other.trim();
    if (name === '' || list.some((line) => line.name.toLowerCase() === name.toLowerCase())) return;
    set({ code: null, name }, 1);
    other = '';
  }
</script>

<fieldset>
  <legend class="text-sm font-semibold">What came along</legend>
  <ul class="mt-1 grid gap-x-6 sm:grid-cols-2 xl:grid-cols-3">
    {#each rows as row (row.code ?? row.name)}
      <li class="flex min-h-11 items-center justify-between gap-2">
        <Check
          bind:checked={() => row.of !== undefined, (ticked) => set(row, ticked ? (row.of?.came ?? 1) : 0)}
          >{row.name}</Check
        >
        {#if row.of}
          {@const came = row.of.came}
          <span class="flex items-center">
            <button
              type="button"
              class="min-h-11 w-9 text-lg text-quiet"
              aria-label="One {row.name} less"
              onclick={() => set(row, came - 1)}>−</button
            >
            <span class="fig w-6 text-center" aria-label="{came} {row.name}">{came}</span>
            <button
              type="button"
              class="min-h-11 w-9 text-lg text-quiet"
              aria-label="One {row.name} more"
              onclick={() => set(row, Math.min(99, came + 1))}>+</button
            >
          </span>
        {/if}
      </li>
    {/each}
    <li class="flex min-h-11 items-center gap-2">
      <input
        class="field min-h-9 py-1"
        maxlength="80"
        placeholder="Something else"
        aria-label="Something else that came along"
        bind:value={other}
        onkeydown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault();
          event.stopPropagation();
          add();
        }}
      />
      {#if other.trim() !== ''}<Button kind="quiet" onclick={add}>Put down</Button>{/if}
    </li>
  </ul>
  {#if error}<p class="mt-1 text-sm font-semibold text-out">✕ {error}</p>{/if}
</fieldset>
