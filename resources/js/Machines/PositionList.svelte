<script lang="ts">
  import type { Fitting } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import { day, hours } from '@/ui/format';

  /** What sits where, how long it has run, and how long it usually lasts. */
  let {
    positions,
    family,
    chosen = '',
  }: { positions: Fitting[]; family: string; chosen?: string } = $props();

  const me = here();
  const shown = $derived(positions.filter((one) => chosen === '' || one.place === chosen));
  const colours: Record<Fitting['worn'], string> = {
    past: 'bg-out',
    soon: 'bg-waiting',
    well: 'bg-well',
    unknown: '',
  };
</script>

<ul aria-label="Positions">
  {#each shown as one (one.position)}
    <li class="rule-below py-1.5">
      <details>
        <summary
          class="grid cursor-pointer grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-3 leading-tight"
        >
          <span
            >{one.name}
            {#if one.upgrade}<span class="rounded-sm border border-action px-1 text-sm text-action"
                >upgrade</span
              >{/if}
            {#if one.empty}<span class="text-sm font-semibold text-out">✕ nothing in it</span>{/if}
            {#if one.faces > 1}<span class="text-sm text-quiet"
                >face {one.facesUsed.at(-1)} of {one.faces}{one.faces === one.facesUsed.length
                  ? ', the last'
                  : ''}</span
              >{/if}
          </span>
          <span class="text-right whitespace-nowrap"
            >{#if one.about && one.hoursOnIt !== null}<span class="text-sm text-quiet">about</span>{/if}
            <span class="fig">{hours(one.hoursOnIt)}</span>
            <span class="text-sm text-quiet"
              >{one.lifeHours === null ? 'h' : `of ${hours(one.lifeHours)} h`}</span
            ></span
          >
          {#if one.lifeShare !== null}
            <span class="col-span-2 mt-1 h-1.5 bg-line" aria-hidden="true"
              ><span
                class="block h-full {colours[one.worn]}"
                style="width: {Math.min(100, one.lifeShare * 100)}%"
              ></span></span
            >
          {/if}
        </summary>
        <p class="mt-1 text-sm text-quiet">
          {#if one.part}{one.part}, {day(one.fittedAt ?? '', me.zone)}{one.by ? `, ${one.by}` : ''}{one.reason
              ? `: ${one.reason}`
              : ''}{:else}As it came{/if}
        </p>
        <p class="text-sm">
          <a class="text-quiet underline" href="/families/{family}/papers?place={one.position}"
            >where it sits, on paper</a
          >
        </p>
        {#each one.earlier as before, i (i)}
          <p class="text-sm text-quiet">
            before: {before.part ?? 'as it came'}{before.ran === null
              ? ''
              : `, ran ${hours(before.ran)} h`}{before.became ? `, ${before.became}` : ''}
          </p>
        {/each}
      </details>
    </li>
  {/each}
</ul>
