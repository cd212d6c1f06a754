<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { keepJob } from '@/api/writes';
  import type { Fix, GuideLine, Job } from '@/api/types';
  import { p } from '@/router';
  import Button from '@/ui/Button.svelte';
  import Pick from '@/ui/Pick.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** Guides for this job first; any other by its name. */
  let { job, fix }: { job: Job; fix: Fix } = $props();

  const client = useQueryClient();
  const work = new Work();
  const open = $derived(new Set(fix.runs.map((run) => run.code)));
  let picked = $state<string | null>(null);
  const offered = $derived(
    fix.guides.filter((guide) => !open.has(guide.code) && (guide.for !== null || guide.code === picked)),
  );

  const start = (guide: GuideLine, school: string | null) =>
    work.do(async () => {
      keepJob(
        client,
        await told(
          api.POST('/jobs/{job}/guide-runs', {
            params: { path: { job: job.id } },
            body: { guide: guide.code, school },
          }),
        ),
      );
      picked = null;
    });
</script>

<section aria-label="Guides">
  <h2>{fix.runs.length > 0 ? 'Other guides' : 'Guides'}</h2>
  <ul>
    {#each offered as guide (guide.code)}
      <li class="rule-below py-1.5">
        <p class="leading-snug">
          <a
            class="font-semibold underline decoration-line"
            href={p('/guides/:code', { params: { code: guide.code } })}>{guide.name}</a
          >
          <span class="text-sm text-quiet"
            >about <span class="fig">{guide.estimate}</span> min for you{guide.times === 0
              ? ', the first time'
              : `, done ${guide.times} ${guide.times === 1 ? 'time' : 'times'}`}</span
          >
        </p>
        <div class="mt-1 flex flex-wrap gap-2">
          {#each guide.schools.length > 0 ? guide.schools : [null] as school (school)}
            <Button
              busy={work.busy}
              label="Begin: {guide.name}{school ? `, ${school}` : ''}"
              onclick={() => start(guide, school)}>Begin{school ? `: ${school}` : ''}</Button
            >
          {/each}
        </div>
      </li>
    {/each}
  </ul>
  <div class="mt-2">
    <Pick
      label="Find a guide"
      items={fix.guides.map((guide) => ({ code: guide.code, name: guide.name, detail: guide.area }))}
      clears
      onpick={(code) => (picked = code)}
    />
  </div>
  {#if work.refusal}<div class="mt-2"><Problem message={work.refusal.message} /></div>{/if}
</section>
