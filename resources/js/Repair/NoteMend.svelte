<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { keepJob } from '@/api/writes';
  import type { Confirmed, Job } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Form from '@/ui/Form.svelte';
  import Check from '@/ui/Check.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** Notes a mend: of a confirmed fault in one press, or other work with what it touched. */
  let { job, fault }: { job: Job; fault?: Confirmed } = $props();

  const client = useQueryClient();
  const me = here();
  const work = new Work();
  let writing = $state(false);
  let done = $state('');
  let touched = $state<Record<string, boolean>>({});

  const ways = $derived(fault && fault.ways.length > 1 ? fault.ways : []);
  let school = $state<string | null>(null);

  async function note(words: string, way: string | null = school): Promise<void> {
    const body = {
      fault: fault?.fault ?? null,
      way,
      done: words,
      touched: Object.keys(touched).filter((code) => touched[code]),
    };
    const kept = await work.do(async () =>
      keepJob(client, await told(api.POST('/jobs/{job}/mends', { params: { path: { job: job.id } }, body }))),
    );
    if (kept) {
      writing = false;
      done = '';
      touched = {};
    }
  }

  function open(way: string | null = null): void {
    school = way;
    done = (way === null ? fault?.do : ways.find((one) => one.school === way)?.do) ?? '';
    writing = true;
  }
</script>

{#if writing}
  <Form class="mt-2 grid max-w-2xl gap-3 border-l-4 border-wash pl-4" onsend={() => note(done)}>
    <Field
      label="What was done"
      bind:value={done}
      rows={2}
      maxlength={2000}
      focus
      error={work.error('done')}
    />
    <fieldset>
      <legend class="text-sm font-semibold">{fault ? 'Also touched' : 'Touched'}</legend>
      <div class="mt-1 grid grid-cols-2 gap-x-4 md:grid-cols-3">
        {#each me.words.subsystems as subsystem (subsystem.code)}
          <Check
            small
            bind:checked={() => touched[subsystem.code] ?? false, (on) => (touched[subsystem.code] = on)}
            >{subsystem.name}</Check
          >
        {/each}
      </div>
      {#if work.error('touched')}<p class="text-sm font-semibold text-out">✕ {work.error('touched')}</p>{/if}
    </fieldset>
    {#if work.refusal}<Problem message={work.refusal.message} />{/if}
    <div class="flex gap-2">
      <Button kind="main" type="submit" busy={work.busy}>Note it</Button>
      <Button onclick={() => (writing = false)}>Not now</Button>
    </div>
  </Form>
{:else if fault && ways.length > 0}
  <ul class="mt-2 grid gap-2 md:grid-cols-2">
    {#each ways as way (way.school)}
      <li class="border border-line bg-white p-2.5">
        <p class="flex flex-wrap items-baseline justify-between gap-x-3">
          <strong>{way.school}</strong>
          <span class="text-sm text-quiet"><span class="fig">{way.minutes}</span> min</span>
        </p>
        <p class="mt-0.5 text-sm">{way.do}</p>
        {#if way.parts.length > 0}<p class="text-sm text-quiet">{way.parts.join(', ')}</p>{/if}
        <div class="mt-2 flex flex-wrap gap-2">
          <Button
            kind="main"
            busy={work.busy}
            label="Done so: {fault.name}, {way.school}"
            onclick={() => note(way.do, way.school)}>Done so</Button
          >
          <Button label="Done otherwise: {fault.name}, {way.school}" onclick={() => open(way.school)}
            >Done otherwise…</Button
          >
        </div>
      </li>
    {/each}
  </ul>
  {#if work.refusal}<div class="mt-2"><Problem message={work.refusal.message} /></div>{/if}
{:else if fault}
  <div class="mt-2 flex flex-wrap gap-2">
    <Button kind="main" busy={work.busy} label="Done so: {fault.name}" onclick={() => note(fault.do)}
      >Done so</Button
    >
    <Button label="Done otherwise: {fault.name}" onclick={() => open()}>Done otherwise…</Button>
  </div>
  {#if work.refusal}<div class="mt-2"><Problem message={work.refusal.message} /></div>{/if}
{:else}
  <div class="mt-2"><Button kind="quiet" onclick={() => open()}>Note other work…</Button></div>
{/if}
