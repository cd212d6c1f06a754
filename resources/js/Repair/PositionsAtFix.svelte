<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { keepJob } from '@/api/writes';
  import type { Fitting, Job } from '@/api/types';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import Pick from '@/ui/Pick.svelte';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';
  import HadItFailed from './HadItFailed.svelte';

  /** Turns a rail to a fresh face, or takes a part out for good. */
  let { job }: { job: Job } = $props();

  const client = useQueryClient();
  const work = new Work();
  let code = $state('');
  let became = $state<'' | 'scrap' | 'tested' | 'untested' | 'seller' | 'lost'>('');
  let reason = $state('');
  let ended = $state<'' | 'failed' | 'worked'>('');
  const position = $derived(job.positions.find((one) => one.position === code));
  const fresh = (of: Fitting): number => of.faces - of.facesUsed.length;

  async function done(call: () => Promise<Job>): Promise<void> {
    const kept = await work.do(async () => keepJob(client, await call()));
    if (kept) {
      code = became = reason = ended = '';
    }
  }
  const path = () => ({ params: { path: { job: job.id, position: code } } });
  const turn = () =>
    done(() =>
      told(
        api.POST('/jobs/{job}/positions/{position}/turn', {
          ...path(),
          body: { reason: reason.trim() || null },
        }),
      ),
    );
  const remove = () =>
    done(() =>
      told(
        api.POST('/jobs/{job}/positions/{position}/removal', {
          ...path(),
          body: {
            became: became === 'tested' || became === 'untested' ? 'spare' : became || 'scrap',
            grade: became === 'tested' || became === 'untested' ? became : null,
            reason: reason.trim() || null,
            ended: ended || null,
          },
        }),
      ),
    );
</script>

<details class="mt-4">
  <summary class="min-h-9 cursor-pointer py-1.5 text-sm text-quiet underline"
    >Turn a rail, or take a part out for good</summary
  >
  <div class="grid max-w-2xl gap-3 border-l-4 border-wash pl-4">
    <Pick
      label="Which position"
      items={job.positions.map((one) => ({ code: one.position, name: one.name }))}
      showAll
      clears
      onpick={(chosen) => (code = chosen)}
    />
    {#if position}
      <p class="text-sm">
        {position.name}: {position.part ??
          (position.empty ? 'nothing in it now' : 'as it came')}{#if position.faces > 1}, face {position.facesUsed.at(
            -1,
          )} of {position.faces} runs{fresh(position) === 0
            ? ', no fresh face is left'
            : `, ${fresh(position)} fresh`}{/if}.
      </p>
      <Field label="Why" bind:value={reason} maxlength={200} />
      {#if fresh(position) > 0}
        <div><Button kind="main" busy={work.busy} onclick={turn}>Turned to a fresh face</Button></div>
      {/if}
      <Press
        label="Taken out, and it became"
        bind:value={became}
        error={work.error('became')}
        choices={[
          { code: 'scrap', name: 'scrap' },
          { code: 'tested', name: 'spare, tested' },
          { code: 'untested', name: 'spare, untested' },
          { code: 'seller', name: 'back to the seller' },
          { code: 'lost', name: 'lost' },
        ]}
      />
      {#if became !== ''}<HadItFailed bind:ended />
        <div><Button busy={work.busy} onclick={remove}>Taken out</Button></div>{/if}
      {#if work.refusal}<Problem message={work.refusal.message} />{/if}
    {/if}
  </div>
</details>
