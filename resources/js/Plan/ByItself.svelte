<script lang="ts">
  import type { PlanStep } from '@/api/types';
  import { p } from '@/router';
  import Tag from '@/ui/Tag.svelte';
  import { long, span, type Ruler } from './ruler';

  /** What needs no hands for a while: a line for each machine, dotted where somebody stays beside it. */
  let { steps, ruler }: { steps: readonly PlanStep[]; ruler: Ruler } = $props();

  const minutes = (step: PlanStep): number => (Date.parse(step.aloneUntil) - Date.parse(step.end)) / 60_000;
  const rows = $derived.by(() => {
    const jobs = [...new Set(steps.map((step) => step.job))];
    return jobs.map((job) => {
      const own = steps.filter((step) => step.job === job);
      const places = own.map((step) => span(ruler, step.end, step.aloneUntil));
      const ends = Math.max(...places.map((place) => place.left + place.width));
      const starts = Math.min(...places.map((place) => place.left));
      return {
        job,
        own,
        places,
        starts,
        ends,
        // its words stand where there is more room
        before: 100 - ends < 45 && starts > 100 - ends,
        longest: own.reduce((most, step) => (minutes(step) > minutes(most) ? step : most)),
      };
    });
  });
  const watched = { beside: ', somebody beside it', 'in-the-shop': ', somebody here', nobody: '' } as const;
  const said = (step: PlanStep): string => `${step.what}, ${long(minutes(step))}${watched[step.watch]}`;
</script>

{#if rows.length > 0}
  <h2 class="mt-2">By itself</h2>
  {#each rows as row (row.job)}
    <div class="grid min-h-8 grid-cols-[100px_minmax(0,1fr)] items-center">
      <a class="origin-left scale-90 max-lg:py-1.5" href={p('/jobs/:id', { params: { id: String(row.job) } })}
        ><Tag tag={row.longest.tag} /></a
      >
      <div class="relative h-6">
        {#each row.own as step, i (step.what)}
          <span
            class={[
              'absolute top-1/2 border-t-[3px] border-waiting',
              step.watch === 'beside' && 'border-dotted',
            ]}
            style="left: {row.places[i]?.left}%; width: max({row.places[i]?.width}%, 6px)"
            title="{said(step)}. {step.because}"
          ></span>
        {/each}
        <span
          class="absolute top-1/2 -translate-y-1/2 truncate bg-sheet/85 px-1 text-xs text-quiet"
          title={said(row.longest)}
          style={row.before
            ? `right: ${100 - row.starts}%; max-width: ${row.starts}%`
            : `left: ${row.ends}%; max-width: ${100 - row.ends}%`}>{said(row.longest)}</span
        >
      </div>
    </div>
  {/each}
{/if}
