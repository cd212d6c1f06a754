<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import type { Snippet } from 'svelte';
  import { api, told } from '@/api/client';
  import { keepJob } from '@/api/writes';
  import type { Job } from '@/api/types';
  import OnTo from '@/ui/OnTo.svelte';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  let { job, rail }: { job: Job; rail: Snippet } = $props();

  const client = useQueryClient();
  const me = here();
  const work = new Work();
  const may = $derived(me.person.worksAtTheBench && !job.finishedAt);
  const questions = $derived(me.words.safetyQuestions);
  const known = (code: string): boolean | null | undefined =>
    (job.safetyAnswers as Record<string, boolean | null>)[code];
  const open = $derived(questions.filter((question) => known(question.code) === undefined));
  // what nobody knows without a meter is no “no”
  const toAll = (): Record<string, boolean | null> =>
    Object.fromEntries(open.map((question) => [question.code, question.measured ? null : false]));

  const answer = (answers: Record<string, boolean | null>) =>
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
          onclick={() => answer(toAll())}
          >{open.length === questions.length ? 'No to all of them' : `No to the other ${open.length}`}</Button
        >
      {/if}
    </div>
    {#if open.length === 0}<OnTo {job} from="safety" to="diagnosis" name="Find" />{/if}
    <ul class="mt-2">
      {#each questions as question (question.code)}
        {@const said = known(question.code)}
        <li class="rule-below flex min-h-12 items-center justify-between gap-3 py-0.5">
          <span
            >{question.name}{#if question.measured}<span class="ml-1.5 text-sm text-quiet"
                >wants measuring</span
              >{/if}</span
          >
          <span class="flex shrink-0 gap-1.5" role="group" aria-label={question.name}>
            {#each [true, false, null] as yes (yes)}
              <button
                type="button"
                disabled={!may || work.busy}
                aria-pressed={said === yes}
                onclick={() => answer({ [question.code]: yes })}
                class={[
                  'min-h-11 rounded-sm border font-semibold',
                  yes === null ? 'min-w-28' : 'min-w-16',
                  said === yes
                    ? yes
                      ? 'border-red bg-red text-white'
                      : yes === null
                        ? 'border-waiting bg-waiting-wash text-waiting'
                        : 'border-well bg-well-wash text-well'
                    : 'border-edge bg-white hover:bg-wash disabled:opacity-60',
                ]}
                >{said === yes ? (yes ? '▲ ' : yes === null ? '▢ ' : '✓ ') : ''}{yes
                  ? 'Yes'
                  : yes === null
                    ? 'Not checked'
                    : 'No'}</button
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
