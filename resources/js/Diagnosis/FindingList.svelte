<script lang="ts">
  import type { Job } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import { clock } from '@/ui/format';
  import Key from '@/ui/Key.svelte';
  import { onKeys } from '@/ui/keys';
  import Pick from '@/ui/Pick.svelte';
  import ComplaintReader from './ComplaintReader.svelte';
  import PointAtMachine from './PointAtMachine.svelte';

  interface Props {
    job: Job;
    may: boolean;
    busy: boolean;
    record: (findings: Record<string, boolean>) => Promise<boolean>;
    withdraw: (finding: number) => Promise<boolean>;
    /** codes of findings likely to be there too */
    likely: readonly string[];
  }
  let { job, may, busy, record, withdraw, likely }: Props = $props();

  const me = here();
  let input = $state<HTMLElement | null>(null);
  let pointing = $state(false);
  let typed = $state('');
  const present = $derived(job.findings.filter((finding) => finding.present));
  const absent = $derived(job.findings.filter((finding) => !finding.present));
  const known = $derived(new Set(job.findings.map((finding) => finding.code)));
  const items = $derived(
    me.words.findings
      .filter((finding) => !known.has(finding.code))
      .map((finding) => ({ code: finding.code, name: finding.name, detail: finding.group })),
  );

  $effect(() => onKeys({ f: () => input?.focus(), p: () => may && (pointing = true) }));
</script>

{#if may}
  <Pick
    label="What it does"
    keyHint="f"
    {items}
    clears
    bind:input
    bind:typed
    quick={likely}
    placeholder="Two or three letters: jam, clic…"
    onpick={(code) => record({ [code]: true })}
  />
  <ComplaintReader
    text={typed.trim().length > 3 ? typed : job.complaint}
    family={job.machine.family}
    {known}
    {busy}
    most={typed.trim().length > 3 ? 5 : 3}
    label={typed.trim().length > 3 ? 'This may mean' : 'The complaint may mean: press what is so'}
    onpress={(finding) => record({ [finding.code]: true })}
  />
  <div class="mt-1.5">
    <Button onclick={() => (pointing = true)}>Point at the machine <Key>p</Key></Button>
  </div>
  <PointAtMachine {job} {busy} {record} bind:open={pointing} />
{:else}
  <p class="text-sm font-semibold">What it does</p>
{/if}
{#snippet withdrawal(finding: Job['findings'][number])}
  {#if may}
    <button
      type="button"
      class="min-h-8 px-1 text-sm text-quiet underline hover:text-ink max-lg:min-h-11"
      disabled={busy}
      aria-label="Withdraw: {finding.name}"
      onclick={() => withdraw(finding.id)}>withdraw</button
    >
  {/if}
{/snippet}
<ul class="mt-2">
  {#each present as finding (finding.id)}
    <li class="rule-below grid grid-cols-[18px_1fr_auto] items-start gap-x-1.5 py-1.5">
      <span class="text-action" aria-hidden="true">▲</span>
      <span class="min-w-0 leading-snug break-words">
        {finding.name}
        {#if finding.value}<span class="fig">{finding.value}</span>{/if}
        {#if finding.redTag}<span class="hatch rounded-sm px-1 text-xs font-bold"
            ><span class="bg-red px-0.5">DANGER</span></span
          >{/if}
        <span class="block text-sm text-quiet">{finding.source}, {clock(finding.at, me.zone)}</span>
      </span>
      {@render withdrawal(finding)}
    </li>
  {:else}
    <li class="py-2 text-quiet">Nothing yet. What does the machine do, what do you see?</li>
  {/each}
  {#each absent as finding (finding.id)}
    <li
      class="rule-below grid grid-cols-[18px_1fr_auto] items-start gap-x-1.5 py-0.5 text-sm"
      title="{finding.source}, {clock(finding.at, me.zone)}"
    >
      <span class="pt-1.5 text-quiet" aria-hidden="true">▽</span>
      <span class="min-w-0 pt-1.5 leading-snug break-words"><strong>not</strong>&nbsp;{finding.name}</span>
      {@render withdrawal(finding)}
    </li>
  {/each}
</ul>
