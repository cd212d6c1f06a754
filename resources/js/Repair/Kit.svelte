<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { keepJob } from '@/api/writes';
  import type { GuideRun, Job } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import { promised as dayOf } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** The kit of a guide against the shelf. */
  let { job, run, promised, may }: { job: Job; run: GuideRun; promised: number; may: boolean } = $props();

  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const needed = $derived(run.kit.filter((line) => !line.ifNeeded));
  const can = $derived(needed.every((line) => line.short === 0));
  const toPromise = $derived(
    needed.some((line) => line.free > 0 && line.promised < Math.min(line.count, line.free)),
  );

  const reserve = () =>
    work.do(async () =>
      keepJob(
        client,
        await told(
          api.POST('/jobs/{job}/guide-runs/{run}/kit', { params: { path: { job: job.id, run: run.id } } }),
        ),
      ),
    );
  const release = () =>
    work.do(async () =>
      keepJob(
        client,
        await told(api.DELETE('/jobs/{job}/promised-parts', { params: { path: { job: job.id } } })),
      ),
    );
</script>

{#if run.kit.length > 0}
  <h3 class="mt-2">
    Kit {#if needed.length > 0}<span class={['font-normal', can ? 'text-well' : 'text-out']}
        >{can ? '✓ all there' : '✕ something is short'}</span
      >{/if}
    {#if run.kitTimes !== null && can}<span class="font-normal text-quiet"
        >for <span class="fig">{run.kitTimes}</span>
        {run.kitTimes === 1 ? 'machine' : 'machines'}{run.kitShortest.length > 0
          ? `; shortest: ${run.kitShortest.join(', ')}`
          : ''}</span
      >{:else if !can && run.kitCouldStart}<span class="font-normal text-quiet"
        >expected by {dayOf(run.kitCouldStart, me.zone)}</span
      >{/if}
  </h3>
  <ul class="text-sm">
    {#each run.kit as line, i (i)}
      <li class="rule-below flex flex-wrap justify-between gap-x-2 py-0.5">
        <span
          >{line.count > 1 ? `${line.count} × ` : ''}{line.partName ?? line.name}{#if line.ifNeeded}<span
              class="text-quiet">, if needed</span
            >{/if}</span
        >
        <span class="text-quiet">
          {#if line.bin}bin <span class="fig">{line.bin}</span>
            <span class={['fig', line.free < line.count && !line.ifNeeded && 'font-bold text-out']}
              >{line.free}</span
            > free{:else}none known{/if}{#if line.promised > 0}, <span class="fig">{line.promised}</span> promised{/if}
        </span>
        {#if line.short > 0 && !line.ifNeeded}<span class="w-full text-out"
            >✕ {line.short} short{line.substitutes.length > 0
              ? `; ${line.substitutes.join('; ')} would do`
              : ''}</span
          >{:else if line.free < line.count && line.substitutes.length > 0}<span class="w-full text-quiet"
            >{line.substitutes.join('; ')} does as well</span
          >{/if}
      </li>
    {/each}
  </ul>
  {#if may}
    {#if toPromise}<Button kind="quiet" busy={work.busy} onclick={reserve}>Promise the kit to this job</Button
      >{/if}
    {#if promised > 0}<Button kind="quiet" busy={work.busy} onclick={release}>Release what is promised</Button
      >{/if}
  {/if}
  {#if work.refusal}<Problem message={work.refusal.message} />{/if}
{/if}
