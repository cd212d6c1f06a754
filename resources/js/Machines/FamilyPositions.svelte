<script lang="ts">
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import type { Work } from '@/ui/work.svelte';
  import { emptyPosition, type PositionRow } from './family';

  /** Where its wear parts sit, and how long they usually last. */
  let { positions = $bindable(), work }: { positions: PositionRow[]; work: Work } = $props();
  const me = here();
  const wrong = (row: PositionRow): string | undefined =>
    work.refusal?.errors.find((one) => row.code !== '' && one.field.startsWith(`positions.${row.code}.`))
      ?.message;
</script>

<h2 class="rule-below pb-1.5">
  Positions <span class="ml-1 text-sm font-normal text-quiet"
    ><span class="fig">{positions.length}</span>, each with its part and its usual life</span
  >
</h2>
<div class="overflow-x-auto">
  <table class="w-full min-w-[52rem] text-left">
    <thead>
      <tr class="text-sm text-quiet">
        <th class="pr-2 pb-1 font-semibold">Position</th>
        <th class="pr-2 pb-1 font-semibold">Part</th>
        <th class="pr-2 pb-1 font-semibold">Of</th>
        <th class="w-24 pr-2 pb-1 font-semibold">How many</th>
        <th class="w-24 pr-2 pb-1 font-semibold">Faces</th>
        <th class="w-28 pr-2 pb-1 font-semibold">Life, h</th>
        <th></th>
      </tr>
    </thead>
    <tbody>
      {#each positions as row, i (row)}
        <tr>
          <td class="py-0.5 pr-2"
            ><input
              class="field"
              maxlength="60"
              aria-label="Name of position {i + 1}"
              bind:value={row.name}
            /></td
          >
          <td class="pr-2"
            ><select class="field" aria-label="Part at {row.name}" bind:value={row.part}>
              <option value=""></option>
              {#each me.words.partClasses as part (part.code)}<option value={part.code}>{part.name}</option
                >{/each}
            </select></td
          >
          <td class="pr-2"
            ><select class="field" aria-label="What {row.name} belongs to" bind:value={row.subsystem}>
              <option value=""></option>
              {#each me.words.subsystems as one (one.code)}<option value={one.code}>{one.name}</option>{/each}
            </select></td
          >
          <td class="pr-2"
            ><input
              class="field font-mono"
              inputmode="numeric"
              maxlength="2"
              placeholder="1"
              aria-label="How many at {row.name}"
              bind:value={row.count}
            /></td
          >
          <td class="pr-2"
            ><input
              class="field font-mono"
              inputmode="numeric"
              maxlength="1"
              placeholder="1"
              aria-label="Faces of {row.name}"
              bind:value={row.faces}
            /></td
          >
          <td class="pr-2"
            ><input
              class="field font-mono"
              inputmode="decimal"
              maxlength="6"
              placeholder="usual"
              aria-label="Life of {row.name}"
              bind:value={row.life}
            /></td
          >
          <td
            ><Button
              kind="quiet"
              label="Take {row.name || 'this position'} away"
              onclick={() => (positions = positions.filter((one) => one !== row))}>away</Button
            ></td
          >
        </tr>
        {#if wrong(row)}<tr
            ><td colspan="7" class="pb-1 text-sm font-semibold text-out">✕ {wrong(row)}</td></tr
          >{/if}
      {/each}
    </tbody>
  </table>
</div>
<div><Button onclick={() => (positions = [...positions, emptyPosition()])}>One more position</Button></div>
