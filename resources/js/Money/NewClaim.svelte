<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { jobMoneyQuery, jobQuery, machineQuery } from '@/api/queries';
  import type { Claims } from '@/api/types';
  import Button from '@/ui/Button.svelte';
  import Check from '@/ui/Check.svelte';
  import Field from '@/ui/Field.svelte';
  import Form from '@/ui/Form.svelte';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import SumField from '@/ui/SumField.svelte';
  import { Work } from '@/ui/work.svelte';
  import { typed } from './sums';

  /** A claim is written down, with its proof out of the job that stands open on its machine. */
  let {
    keep,
    cancel,
    tag: begun,
  }: { keep: (all: Claims) => void; cancel: () => void; tag: string } = $props();

  const work = new Work();
  // svelte-ignore state_referenced_locally
  let tag = $state(begun);
  let against = $state('');
  let againstIs = $state<'seller' | 'maker' | 'supplier'>('seller');
  let claims = $state<'machine' | 'part' | 'money'>('part');
  let what = $state('');
  let worth = $state('');
  let effort = $state('');
  let deadline = $state('');
  let nextOn = $state('');
  let video = $state('');
  let waits = $state(false);
  let findings = $state<Record<number, boolean>>({});
  const known = $derived(/^[A-Za-z]{2}[- ]?\d{3,}[- ]?[A-Za-z]?$/.test(tag.trim()));
  const machine = createQuery(() => ({ ...machineQuery(tag.trim()), enabled: known, retry: false }));
  const jobId = $derived(machine.data?.machine.openJob ?? null);
  const job = createQuery(() => ({
    ...jobQuery(jobId ?? 0),
    enabled: jobId !== null,
    refetchInterval: false as const,
  }));
  const found = $derived(jobId === null ? [] : (job.data?.findings ?? []).filter((one) => one.present));
  const money = createQuery(() => ({ ...jobMoneyQuery(jobId ?? 0), enabled: jobId !== null }));
  const pictures = $derived(jobId === null ? [] : (money.data?.photographs ?? []));
  let photographs = $state<Record<number, boolean>>({});
  const left = $derived(
    work.leftover('tag', 'against', 'what', 'worth', 'effort', 'deadline', 'nextOn', 'video'),
  );

  const send = () =>
    work.do(async () => {
      const body = {
        tag,
        job: jobId,
        against,
        againstIs,
        claims,
        what,
        worth,
        effort: typed(effort),
        deadline: typed(deadline),
        nextOn: typed(nextOn),
        video: typed(video),
        findings: found.filter((one) => findings[one.id]).map((one) => one.id),
        photographs: pictures.filter((one) => photographs[one.id]).map((one) => one.id),
        waits,
      };
      keep(await told(api.POST('/money/claims', { body })));
    });
</script>

<Form class="mt-3 grid max-w-4xl gap-3 border-l-4 border-wash pl-4" onsend={send}>
  <div class="grid items-start gap-3 md:grid-cols-[10rem_minmax(0,1fr)_minmax(0,1fr)]">
    <Field label="Machine, its tag" bind:value={tag} mono maxlength={20} focus error={work.error('tag')} />
    <Field label="Of whom" bind:value={against} maxlength={120} error={work.error('against')} />
    <Press
      label="which is"
      bind:value={againstIs}
      choices={[
        { code: 'seller', name: 'the seller' },
        { code: 'maker', name: 'the maker' },
        { code: 'supplier', name: 'a supplier' },
      ]}
    />
  </div>
  <Press
    label="Claimed"
    bind:value={claims}
    choices={[
      { code: 'part', name: 'a part, fitted by us' },
      { code: 'money', name: 'money' },
      { code: 'machine', name: 'the whole machine' },
    ]}
  />
  <Field label="What, and why" bind:value={what} rows={2} maxlength={300} error={work.error('what')} />
  <div class="grid grid-cols-2 items-start gap-3 md:grid-cols-4">
    <SumField label="It is worth" bind:value={worth} error={work.error('worth')} />
    <SumField
      label="To go on costs"
      bind:value={effort}
      hint="letters, packing"
      error={work.error('effort')}
    />
    <Field
      label="Deadline"
      type="date"
      bind:value={deadline}
      hint="empty: the end of its warranty"
      error={work.error('deadline')}
    />
    <Field label="Look again on" type="date" bind:value={nextOn} error={work.error('nextOn')} />
  </div>
  <Field
    label="A film of it, its address"
    bind:value={video}
    maxlength={300}
    hint="https://…"
    error={work.error('video')}
  />
  {#if found.length > 0 || pictures.length > 0}
    <fieldset>
      <legend class="text-sm font-semibold">Proof out of its job</legend>
      <div class="flex flex-wrap gap-x-5">
        {#each found as one (one.id)}
          <Check bind:checked={() => findings[one.id] ?? false, (on) => (findings[one.id] = on)} small
            >{one.name}{one.value ? `, ${one.value}` : ''}</Check
          >
        {/each}
      </div>
      <div class="mt-1 flex flex-wrap gap-3">
        {#each pictures as one, i (one.id)}
          <div>
            <img src={one.url} alt="Photograph {i + 1}" class="h-20 w-24 border border-line object-cover" />
            <Check bind:checked={() => photographs[one.id] ?? false, (on) => (photographs[one.id] = on)} small
              >photograph {i + 1}</Check
            >
          </div>
        {/each}
      </div>
    </fieldset>
  {/if}
  {#if jobId !== null}<Check bind:checked={waits}>The machine stays closed and waits for it</Check>{/if}
  <p class="text-sm text-quiet">
    Opening a machine may end its warranty: a machine under warranty asks for “claim” or “mend and accept the
    risk” before its first screw.
  </p>
  <Problem message={left} />
  <div class="flex gap-3">
    <Button kind="main" type="submit" busy={work.busy}>Claim it</Button>
    <Button kind="quiet" onclick={cancel}>Not now</Button>
  </div>
</Form>
