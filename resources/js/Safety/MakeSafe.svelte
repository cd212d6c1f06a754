<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import type { Snippet } from 'svelte';
  import { api, told } from '@/api/client';
  import { keepJob } from '@/api/queries';
  import type { Job } from '@/api/types';
  import OnTo from '@/Intake/OnTo.svelte';
  import { here } from '@/Shop/session.svelte';
  import Button from '@/ui/Button.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  let { job, rail }: { job: Job; rail: Snippet } = $props();

  const client = useQueryClient();
  const me = here();
  const work = new Work();
  const may = $derived(me.person.worksAtTheBench && !job.finishedAt);
  const questions = $derived(me.words.safetyQuestions);
  const open = $derived(questions.filter((question) => job.safetyAnswers[question.code] === undefined));

  const answer = (answers: Record<string, boolean>) =>
    work.do(async () =>
      keepJob(
        client,
        await told(
          api.POST('/jobs/{job}/safety-answers', { params: { path: { job: job.id } }, body: { answers } }),
        ),
      ),
    );
</script>

<div class="grid gap-6 lg:grid-cols-[minmax(0,1fr)_330px]">
  <section>
    <h2 class="rule-below pb-1.5">Before anything is switched on</h2>
    <div class="mt-2 flex min-h-11 flex-wrap items-center justify-between gap-3">
      <p class="text-sm text-waiting">△ Unplugged until these are answered. One yes puts the red tag on.</p>
      {#if may && open.length > 1}
        <Button
          kind={open.length === questions.length ? 'main' : 'plain'}
          busy={work.busy}
          onclick={() => answer(Object.fromEntries(open.map((question) => [question.code, false])))}
          >{open.length === questions.length ? 'No to all of them' : `No to the other ${open.length}`}</Button
        >
      {/if}
    </div>
    {#if open.length === 0}<OnTo {job} from="safety" to="diagnosis" name="Find" />{/if}
    <ul class="mt-2">
      {#each questions as question (question.code)}
        {@const known = job.safetyAnswers[question.code]}
        <li class="rule-below flex min-h-12 items-center justify-between gap-3 py-0.5">
          <span>{question.name}</span>
          <span class="flex shrink-0 gap-1.5" role="group" aria-label={question.name}>
            {#each [true, false] as yes (yes)}
              <button
                type="button"
                disabled={!may || work.busy}
                aria-pressed={known === yes}
                onclick={() => answer({ [question.code]: yes })}
                class={[
                  'min-h-11 min-w-16 rounded-sm border font-semibold',
                  known === yes
                    ? yes
                      ? 'border-red bg-red text-white'
                      : 'border-well bg-well-wash text-well'
                    : 'border-edge bg-white hover:bg-wash disabled:opacity-60',
                ]}>{known === yes ? (yes ? '▲ ' : '✓ ') : ''}{yes ? 'Yes' : 'No'}</button
              >
            {/each}
          </span>
        </li>
      {/each}
    </ul>
    {#if work.refusal}<div class="mt-3"><Problem message={work.refusal.message} /></div>{/if}
  </section>
  <aside class="bg-side p-4">{@render rail()}</aside>
</div>
