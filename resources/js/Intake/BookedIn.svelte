<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import type { Snippet } from 'svelte';
  import { api, told } from '@/api/client';
  import { keepJob } from '@/api/writes';
  import type { Job } from '@/api/types';
  import { p } from '@/router';
  import { here } from '@/api/session.svelte';
  import Accessories from './Accessories.svelte';
  import { usual, type CameAlong } from './cameAlong';
  import Form from '@/ui/Form.svelte';
  import LinkButton from '@/ui/LinkButton.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { day, hours } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  let { job, rail }: { job: Job; rail: Snippet } = $props();

  const client = useQueryClient();
  const me = here();
  const work = new Work();
  let editing = $state(false);
  let complaint = $state('');
  let screenSaid = $state('');
  let cameAlong = $state('');
  let promisedFor = $state('');
  let accessories = $state<CameAlong[]>([]);
  let version = 0;

  function edit(): void {
    complaint = job.complaint;
    screenSaid = job.screenSaid ?? '';
    cameAlong = job.cameAlong ?? '';
    promisedFor = job.promisedFor ?? '';
    accessories = job.accessories.map((line) => ({ ...line }));
    version = job.version;
    editing = true;
  }

  async function save(): Promise<void> {
    const body = {
      version,
      complaint,
      screenSaid: screenSaid || null,
      cameAlong: cameAlong || null,
      promisedFor: promisedFor || null,
    };
    const path = { params: { path: { job: job.id } } };
    const done = await work.do(async () => {
      let now = await told(api.PATCH('/jobs/{job}', { ...path, body }));
      if (JSON.stringify(accessories) !== JSON.stringify(job.accessories)) {
        const list = accessories.map(({ code, name, came, went, staysBecause }) => ({
          code,
          name,
          came,
          went,
          staysBecause,
        }));
        now = await told(
          api.PUT('/jobs/{job}/accessories', { ...path, body: { accessories: list, version: now.version } }),
        );
      }
      keepJob(client, now);
    });
    if (done) editing = false;
    // what was typed stays; the next try is made from what stands now
    else version = job.version;
  }

  const came = $derived(
    [
      ...job.accessories.map((line) => (line.came > 1 ? `${line.came} × ${line.name}` : line.name)),
      ...(job.cameAlong ? [job.cameAlong] : []),
    ].join(', ') || null,
  );
  const facts = $derived([
    ['Complaint', job.complaint],
    ['The screen said', job.screenSaid],
    ['Came along', came],
    ['It began', me.words.began.find((b) => b.code === job.began)?.name ?? job.began],
    ['Promised for', job.promisedFor ? day(`${job.promisedFor}T12:00:00Z`, 'UTC') : null],
    ['Booked in', day(job.openedAt, me.zone)],
  ] as const);
</script>

<div class="grid gap-6 lg:grid-cols-[minmax(0,1fr)_330px]">
  <section>
    <h2 class="rule-below pb-1.5">What was told</h2>
    {#if editing}
      <Form class="mt-3 grid max-w-2xl gap-4" onsend={() => save()}>
        <Field
          label="Complaint, in the customer’s words"
          bind:value={complaint}
          rows={2}
          maxlength={2000}
          error={work.error('complaint')}
        />
        <Field label="What the screen said" bind:value={screenSaid} maxlength={500} />
        {#if job.cameAlong}<Field label="What else came along" bind:value={cameAlong} maxlength={500} />{/if}
        <Accessories
          list={accessories}
          offered={usual(me.words, job.machine.family)}
          error={work.refusal?.errors.find((one) => one.field.startsWith('accessories'))?.message}
          onchange={(list) => (accessories = list)}
        />
        <Field label="Promised for" type="date" bind:value={promisedFor} error={work.error('promisedFor')} />
        {#if work.refusal}<Problem message={work.refusal.message} />{/if}
        <div class="flex gap-2">
          <Button kind="main" type="submit" busy={work.busy}>Keep it so</Button>
          <Button onclick={() => (editing = false)}>Leave as it was</Button>
        </div>
      </Form>
    {:else}
      <dl class="mt-2 grid grid-cols-[9rem_1fr] gap-x-4">
        {#each facts as [name, value] (name)}
          <dt class="rule-below py-2 text-quiet">{name}</dt>
          <dd class="rule-below py-2 break-words">{value ?? '–'}</dd>
        {/each}
        <dt class="rule-below py-2 text-quiet">Hours</dt>
        <dd class="rule-below py-2">
          <span class="fig">{hours(job.hours)}</span> <span class="text-quiet">h</span>
        </dd>
      </dl>
      <div class="mt-3 flex flex-wrap gap-2">
        {#if !job.finishedAt && me.person.meetsOwners}<Button onclick={edit}>Correct it</Button>{/if}
        <LinkButton href={p('/machines/:tag/label', { params: { tag: job.machine.tag } })}>Label</LinkButton>
      </div>
    {/if}
  </section>
  <aside class="bg-side p-4">{@render rail()}</aside>
</div>
