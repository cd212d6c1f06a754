<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { keepJob } from '@/api/writes';
  import type { Job } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import Dialog from '@/ui/Dialog.svelte';
  import Field from '@/ui/Field.svelte';
  import { clock, day } from '@/ui/format';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  let { job }: { job: Job } = $props();

  const client = useQueryClient();
  const me = here();
  const work = new Work();
  type Wait = 'itself' | 'part' | 'person' | 'claim' | 'owner';
  let open = $state(false);
  let waitsFor = $state<Wait | ''>('part');
  let note = $state('');
  let minutes = $state('30');
  let heat = $state<'' | 'cold' | 'hot'>('');

  const path = $derived({ params: { path: { job: job.id } } });
  const mine = $derived(job.handsOf === me.person.name);
  const words = {
    itself: 'Runs by itself',
    part: 'Waits on a part',
    person: 'Waits on a person',
    claim: 'Waits on a claim',
    owner: 'Waits on the owner',
  };

  const hands = (on: boolean) =>
    work.do(async () =>
      keepJob(client, await told(api.POST('/jobs/{job}/hands', { ...path, body: { on } }))),
    );

  async function wait(kind: Wait | null): Promise<void> {
    const body = {
      version: job.version,
      waitsFor: kind,
      waitsNote: kind === null || note.trim() === '' ? null : note.trim(),
      waitsMinutes: kind === 'itself' ? Number.parseInt(minutes, 10) || null : null,
      waitsHot: kind === 'itself' && heat !== '' ? heat === 'hot' : null,
    };
    if (await work.do(async () => keepJob(client, await told(api.PATCH('/jobs/{job}', { ...path, body })))))
      open = false;
  }
</script>

{#if job.finishedAt}
  <p class="mt-2 border-l-4 border-well bg-well-wash px-3 py-2 text-well">
    ✓ Finished {day(job.finishedAt, me.zone)}: {job.destination}. Nothing is added to this job any more.
  </p>
{:else}
  <div class="mt-1 flex flex-wrap items-center gap-x-3 text-sm">
    {#if job.waitsFor}
      <p class="bg-waiting-wash px-2 py-1 text-waiting">
        ▢ {words[job.waitsFor as Wait]}{job.waitsNote ? `: ${job.waitsNote}` : ''}{job.waitsHot
          ? ', hot'
          : ''}{job.waitsUntil ? `, until ${clock(job.waitsUntil, me.zone)}` : ''}
      </p>
      {#if me.person.meetsOwners}<Button kind="quiet" busy={work.busy} onclick={() => wait(null)}
          >Ready for hands again</Button
        >{/if}
    {:else}
      {#if job.handsOf}<p>
          <span aria-hidden="true" class="text-action">●</span>
          {mine ? 'In your hands' : `In ${job.handsOf}’s hands`}
        </p>{/if}
      {#if me.person.worksAtTheBench}
        {#if mine}<Button kind="quiet" busy={work.busy} onclick={() => hands(false)}>Put down</Button>
        {:else if !job.handsOf}<Button kind="quiet" busy={work.busy} onclick={() => hands(true)}
            >Take in hand</Button
          >{/if}
      {/if}
      {#if me.person.meetsOwners}<Button kind="quiet" onclick={() => (open = true)}>It waits for…</Button
        >{/if}
    {/if}
    {#if job.promisedFor}<p class="text-quiet">
        Promised for {day(`${job.promisedFor}T12:00:00Z`, 'UTC')}
      </p>{/if}
  </div>
  {#if work.refusal && !open}<div class="mt-2"><Problem message={work.refusal.message} /></div>{/if}
  <Dialog bind:open title="What does it wait for?">
    <Form class="grid gap-4" onsend={() => waitsFor !== '' && wait(waitsFor)}>
      <Press
        label="It waits for"
        bind:value={waitsFor}
        choices={[
          { code: 'part', name: 'a part' },
          { code: 'person', name: 'a person' },
          { code: 'claim', name: 'a claim' },
          { code: 'owner', name: 'the owner' },
          { code: 'itself', name: 'nothing: it runs by itself' },
        ]}
      />
      {#if waitsFor === 'itself'}<Field
          label="For how long"
          bind:value={minutes}
          numeric
          unit="min"
          error={work.error('waitsMinutes')}
        />
        <Press
          label="Is anything hot meanwhile?"
          bind:value={heat}
          choices={[
            { code: 'cold', name: 'no, all is cold' },
            { code: 'hot', name: 'yes, something is hot' },
          ]}
        />{/if}
      <Field
        label="Which, and until when"
        bind:value={note}
        maxlength={200}
        error={work.error('waitsNote')}
      />
      {#if work.refusal}<Problem message={work.refusal.message} />{/if}
      <div><Button kind="main" type="submit" busy={work.busy}>Let it wait</Button></div>
    </Form>
  </Dialog>
{/if}
