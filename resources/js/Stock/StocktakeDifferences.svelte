<script lang="ts">
  import type { Stocktakes } from '@/api/types';
  import { p } from '@/router';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import { money } from '@/ui/format';

  /** What the bins that are done differ by, and posting it. */
  let {
    take,
    done,
    sure = $bindable(''),
    busy,
    end,
  }: {
    take: NonNullable<Stocktakes['current']>;
    done: number;
    sure: '' | 'post' | 'discard';
    busy: boolean;
    end: (post: boolean) => Promise<void>;
  } = $props();

  const me = here();
  const value = $derived(take.variances.reduce((sum, one) => sum + one.valueMinor, 0));
  const signed = (n: number): string => (n > 0 ? `+${n}` : `−${Math.abs(n)}`);
</script>

<section aria-label="Differences">
  <h2 class="rule-below flex justify-between gap-3 pb-1.5">
    <span>Differences</span>
    {#if take.variances.length > 0}<span class="fig font-normal">{money(value, me.currency)}</span>{/if}
  </h2>
  <ul>
    {#each take.variances as one (one.bin + one.part)}
      <li class="rule-below grid grid-cols-[minmax(0,1fr)_auto_auto] items-baseline gap-x-4 py-1.5">
        <span class="min-w-0 break-words"
          ><a class="hover:underline" href={p('/shelf/:number', { params: { number: one.part } })}
            >{one.name}</a
          >
          <span class="text-sm text-quiet"
            >bin <span class="fig">{one.bin}</span>: <span class="fig">{one.counted}</span> counted,
            <span class="fig">{one.expected}</span> expected, {one.by}</span
          ></span
        >
        <span class={['fig font-semibold', one.pieces < 0 ? 'text-out' : 'text-well']}
          >{signed(one.pieces)}</span
        >
        <span class="fig text-right text-quiet">{money(one.valueMinor, me.currency)}</span>
      </li>
    {:else}
      <li class="py-1.5 text-quiet">
        {done === 0 ? 'They stand here once a bin is done.' : 'None so far.'}
      </li>
    {/each}
  </ul>
  {#if me.person.keepsBooks}
    <div class="mt-3 flex flex-wrap items-center gap-2">
      {#if sure === ''}
        {#if done > 0}<Button kind="main" onclick={() => (sure = 'post')}
            >Post {take.variances.length === 0 ? 'it' : 'the differences'}</Button
          >{/if}
        <Button kind="quiet" onclick={() => (sure = 'discard')}>Drop this stocktake…</Button>
      {:else}
        <p class="w-full text-waiting">
          {sure === 'post'
            ? `▢ ${done} of ${take.lines.length} bins are done. ${take.variances.length} corrections are written, together ${money(value, me.currency)}; bins that were not counted stay as they are.`
            : '▢ What was counted is dropped and nothing is corrected.'}
        </p>
        <Button kind="main" {busy} onclick={() => end(sure === 'post')}
          >{sure === 'post' ? 'Post it now' : 'Drop it'}</Button
        >
        <Button kind="quiet" onclick={() => (sure = '')}>Not yet</Button>
      {/if}
    </div>
  {:else}
    <p class="mt-3 text-sm text-quiet">A lead or the counter posts them.</p>
  {/if}
</section>
