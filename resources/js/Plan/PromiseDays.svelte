<script lang="ts">
  import type { PromiseDays } from '@/api/types';
  import { promised } from '@/ui/format';
  import { here } from '@/api/session.svelte';

  /** The days that hold, each to be taken with a press. */
  let {
    offer,
    taken,
    onpick,
  }: { offer: PromiseDays; taken: string; onpick?: ((day: string) => unknown) | undefined } = $props();
  const me = here();
  const days = $derived(
    [
      { day: offer.ninety, of: '9 of 10' },
      { day: offer.eighty, of: '8 of 10' },
      { day: offer.half, of: 'half' },
    ].filter((one, i, all) => one.day !== null && all.findIndex((other) => other.day === one.day) === i),
  );
  const chance = $derived(
    taken === '' ? null : (offer.chances.filter((one) => one.day <= taken).at(-1)?.chance ?? null),
  );
</script>

{#if offer.ninety === null}
  <p class="text-sm text-waiting">▢ {offer.words}</p>
{:else}
  <p class="flex flex-wrap items-center gap-x-2 text-sm text-quiet">
    holds:
    {#each days as one (one.day)}
      {#if onpick && one.day}
        <button
          type="button"
          class="min-h-9 text-action underline max-lg:min-h-11"
          title={one.day}
          onclick={() => onpick(one.day ?? '')}>{promised(one.day, me.zone)} in {one.of}</button
        >
      {:else if one.day}<span><strong class="text-ink">{promised(one.day, me.zone)}</strong> in {one.of}</span
        >{/if}
    {/each}
  </p>
  {#if chance !== null && taken !== ''}<p
      class={['text-sm', chance < 0.5 ? 'font-semibold text-out' : 'text-quiet']}
    >
      {chance < 0.5 ? '◆ ' : ''}this day holds in {Math.round(chance * 100)} of 100
    </p>{:else if taken !== '' && offer.half !== null && taken < offer.half}<p
      class="text-sm font-semibold text-out"
    >
      ◆ this day holds in fewer than 5 of 100
    </p>{/if}
{/if}
