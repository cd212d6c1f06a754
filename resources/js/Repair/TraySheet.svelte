<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { fixQuery, jobQuery } from '@/api/queries';
  import type { Fix } from '@/api/types';
  import { p, route } from '@/router';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import { day } from '@/ui/format';
  import Tag from '@/ui/Tag.svelte';
  import Tray from './Tray.svelte';

  const me = here();
  const id = $derived(Number((route.params as Record<string, string>)['id'] ?? 0));
  const job = createQuery(() => jobQuery(id));
  const fix = createQuery(() => ({
    ...fixQuery(job.data ?? { id, version: 0 }),
    enabled: job.data !== undefined,
  }));
  const order = (data: Fix) => data.reassembly.flatMap((n) => data.steps.find((s) => s.number === n) ?? []);
</script>

<svelte:head><title>Tray sheet · Odd Bench</title></svelte:head>

<main class="mx-auto max-w-3xl px-5 py-4 print:max-w-none print:p-0">
  {#if job.data && fix.data}
    <div class="mb-4 flex flex-wrap gap-2 print:hidden">
      <Button kind="main" onclick={() => print()}>Print</Button>
      <a
        class="inline-flex min-h-11 items-center px-2 text-sm text-quiet underline"
        href={p('/jobs/:id', { params: { id: String(id) } })}>Back to the job</a
      >
    </div>
    <h1 class="flex flex-wrap items-center gap-3">
      <Tag tag={job.data.machine.tag} large />
      {job.data.machine.familyName}
      <span class="text-sm font-normal text-quiet">tray sheet, {day(new Date().toISOString(), me.zone)}</span>
    </h1>
    <div class="mt-4"><Tray fix={fix.data} sheet /></div>
    <h2 class="rule-below mt-5 pb-1">Back together, last off first</h2>
    <ol>
      {#each order(fix.data) as step (step.number)}
        <li class="rule-below grid grid-cols-[2rem_minmax(0,1fr)_1.5rem] gap-x-2 py-1.5 break-inside-avoid">
          <span class="fig text-right text-quiet">{step.number}</span>
          <span class="leading-snug">
            <strong>{step.off}</strong>
            <span class="fig">{step.fasteners.map((f) => `${f.count + f.missing} ${f.size}`).join(', ')}</span
            >
            {step.sockets.length > 0 ? `→ ${step.sockets.join(', ')}` : ''}
            {step.cell === null ? '' : `(cell ${step.cell})`}
            <span class="block text-sm text-quiet"
              >{[
                step.undoFirst && `first ${step.undoFirst}`,
                step.wayRound,
                step.firstPass,
                step.secondPass && `then ${step.secondPass}`,
                step.check && `check: ${step.check}`,
                step.caution && `mind: ${step.caution}`,
              ]
                .filter(Boolean)
                .join('; ')}</span
            >
          </span>
          <span aria-hidden="true" class="mt-1 size-4 border border-edge"
            >{step.standing === 'back' ? '✓' : ''}</span
          >
        </li>
      {:else}
        <li class="py-2 text-quiet">Nothing has come off this machine yet.</li>
      {/each}
    </ol>
  {:else if job.isError || fix.isError}
    <p>{job.error?.message ?? fix.error?.message}</p>
  {:else}
    <p class="text-quiet" role="status">Fetching the tray…</p>
  {/if}
</main>
