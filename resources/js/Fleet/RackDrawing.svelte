<script lang="ts">
  import type { Farm, FarmMachine, Rack } from '@/api/types';
  import { p } from '@/router';
  import { type Mark, marksOf, type Size, wordsOf } from './farm';
  import MiniMachine from './MiniMachine.svelte';

  /** A rack as it stands in the room: shelves from the top, machines on them, the sign of what matters over each. */
  interface Props {
    farm: Farm;
    rack: Pick<Rack, 'name' | 'shelves' | 'places'>;
    at: (shelf: number, place: number) => FarmMachine | undefined;
    size: Size;
    /** only machines with this sign are seen in full */
    only: Mark | '';
    family: string;
    /** machines are being moved: the one in hand, and what is done at a place */
    hand: string | null;
    onplace?: ((shelf: number, place: number, there: FarmMachine | undefined) => unknown) | undefined;
  }
  let { farm, rack, at, size, only, family, hand, onplace }: Props = $props();

  const wide = { large: '5.9rem', middle: '4.3rem', small: '2.65rem', tiny: '2.1rem' } as const;
  const tall = { large: 'h-[4.5rem]', middle: 'h-14', small: 'h-9', tiny: 'h-7' } as const;
  const families = $derived(new Map(farm.families.map((one) => [one.code, one])));
  const rows = $derived(Array.from({ length: rack.shelves }, (_, i) => i + 1));
  const spots = $derived(Array.from({ length: rack.places }, (_, i) => i + 1));
  const short = (tag: string): string =>
    size === 'small' || size === 'tiny' ? tag.slice(3, 6) : tag.slice(0, 6);
  const colours: Record<Mark, string> = {
    red: 'text-red',
    bench: 'text-action',
    fail: 'text-waiting',
    service: 'text-waiting',
    wonder: 'text-out',
  };
</script>

{#snippet machine(one: FarmMachine, signs: Mark[])}
  {@const of = families.get(one.family)}
  <span class={['block w-full', tall[size]]}>
    <MiniMachine
      motion={of?.motion ?? null}
      closed={of?.closed ?? false}
      away={one.openJob !== null && one.place === 'bench'}
      shown={signs}
      inside={size === 'tiny'}
    />
  </span>
  <span class="block h-[5px] w-full bg-shade"></span>
  <span
    class={[
      'block truncate text-center font-mono font-semibold',
      size === 'large' ? 'text-sm' : size === 'tiny' ? 'text-xs leading-[0.9rem]' : 'text-xs',
    ]}>{short(one.tag)}</span
  >
  {#if size !== 'tiny' && (size !== 'small' || signs.length > 0)}
    <span
      class={[
        'block truncate text-center text-xs leading-4',
        signs[0] ? `font-semibold ${colours[signs[0]]}` : 'text-quiet',
      ]}
    >
      {wordsOf(one, signs[0])}</span
    >
  {/if}
{/snippet}

<section class="min-w-0" aria-label={rack.name}>
  <h2 class="truncate">{rack.name}</h2>
  {#each rows as shelf (shelf)}
    <ul class={['flex', size === 'tiny' ? 'mt-px' : 'mt-1']} style="--wide: {wide[size]}">
      {#each spots as place (place)}
        {@const one = at(shelf, place)}
        <li class="w-[var(--wide)] min-w-0 shrink">
          {#if onplace}
            <button
              type="button"
              class={[
                'block w-full hover:bg-wash focus-visible:bg-wash',
                one !== undefined && one.tag === hand && 'bg-wash outline-2 outline-action',
              ]}
              aria-label={one
                ? `${one.tag}, ${rack.name}, shelf ${shelf}, place ${place}`
                : `free: ${rack.name}, shelf ${shelf}, place ${place}`}
              onclick={() => onplace(shelf, place, one)}
            >
              {#if one}{@render machine(one, marksOf(one, farm.likely))}
              {:else}<span class={['grid w-full place-items-center text-quiet', tall[size]]}>+</span><span
                  class="block h-[5px] w-full bg-shade"
                ></span><span class="block text-center text-xs text-quiet">free</span>{/if}
            </button>
          {:else if one}
            {@const signs = marksOf(one, farm.likely)}
            <a
              href={p('/machines/:tag', { params: { tag: one.tag } })}
              title="{one.tag}: {[...signs.map((mark) => wordsOf(one, mark)), wordsOf(one, undefined)].join(
                '; ',
              )}"
              class={[
                'block hover:bg-wash focus-visible:bg-wash',
                ((only && !signs.includes(only)) || (family && one.family !== family)) && 'opacity-25',
              ]}>{@render machine(one, signs)}</a
            >
          {:else}
            <span class={['block w-full', tall[size]]}></span><span class="block h-[5px] w-full bg-shade"
            ></span>
          {/if}
        </li>
      {/each}
    </ul>
  {/each}
</section>
