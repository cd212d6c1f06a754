<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { GuideStep } from '@/api/types';
  import { p } from '@/router';

  /** Steps of a guide: which way round power and heat are stands where they change, cautions at the step. */
  let {
    steps,
    done = [],
    current = null,
    every = false,
    tools,
  }: {
    steps: GuideStep[];
    done?: number[];
    current?: number | null;
    /** shows every step in full, not the current one only */
    every?: boolean;
    tools?: Snippet<[GuideStep]>;
  } = $props();

  const hot = (step: GuideStep): boolean => !step.heat.startsWith('below');
  const live = (step: GuideStep): boolean => step.power === 'power on';
</script>

<ol class="grid gap-1.5">
  {#each steps as step, i (step.number)}
    {@const ticked = done.includes(step.number)}
    {@const full = every || step.number === current}
    <li
      class={[
        'leading-snug',
        ticked && 'text-quiet',
        full && !every && 'border-l-4 border-action bg-white py-2 pr-2 pl-2.5',
      ]}
    >
      {#if !ticked && (full || step.powerChanges || step.heatChanges || i === 0)}
        <p class="mb-0.5 flex flex-wrap gap-1 text-sm">
          <span
            class={[
              step.powerChanges || i === 0 ? 'rounded-sm border px-1.5 font-bold' : 'pr-1.5',
              live(step) ? 'border-waiting bg-waiting-wash text-waiting' : 'border-line text-quiet',
            ]}><span aria-hidden="true">{live(step) ? '●' : '○'}</span> {step.power}</span
          >
          <span
            class={[
              step.heatChanges || i === 0 ? 'rounded-sm border px-1.5 font-bold' : 'pr-1.5',
              hot(step) ? 'border-out bg-out-wash text-out' : 'border-line text-quiet',
            ]}><span aria-hidden="true">{hot(step) ? '▲' : '▽'}</span> {step.heat}</span
          >
        </p>
      {/if}
      <p class={['break-words', ticked && 'line-through', step.number === current && 'font-bold']}>
        <span class="fig">{step.number}.</span>
        {step.do}
        {#if step.school}<span class="text-sm font-normal text-quiet">({step.school})</span>{/if}
      </p>
      {#if full}
        {#if step.target}<p class="text-sm"><span aria-hidden="true">◎</span> {step.target}</p>{/if}
        {#if step.off}<p class="text-sm text-quiet">On the tray: {step.off}</p>{/if}
        {#if step.part}<p class="text-sm text-quiet">Part: {step.part}</p>{/if}
        {#if step.timer && every}<p class="text-sm text-quiet">Timer: {step.timerName}, {step.timer}</p>{/if}
        {#if step.instrument}<p class="text-sm">
            <a class="underline" href={p('/instruments/:name', { params: { name: step.instrument } })}
              >Judge it with the instrument</a
            >
          </p>{/if}
        {#each [...(step.caution ? [step.caution] : []), ...step.hazards] as caution (caution)}
          <p class="mt-1 bg-waiting-wash px-2 py-1 text-sm text-waiting">△ {caution}</p>
        {/each}
      {/if}
      {@render tools?.(step)}
    </li>
  {/each}
</ol>
