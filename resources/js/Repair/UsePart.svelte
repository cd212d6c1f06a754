<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { keepJob } from '@/api/writes';
  import type { Job, Part } from '@/api/types';
  import Form from '@/ui/Form.svelte';
  import Check from '@/ui/Check.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { number } from '@/ui/format';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import Select from '@/ui/Select.svelte';
  import { Work } from '@/ui/work.svelte';
  import HadItFailed from './HadItFailed.svelte';

  /** Takes a part from its bin and fits it into a position. */
  let { job, wanted, open = $bindable(false) }: { job: Job; wanted: string[]; open?: boolean } = $props();

  const client = useQueryClient();
  const work = new Work();
  let text = $state('');
  let part = $state<Part | null>(null);
  let quantity = $state('1');
  let position = $state('');
  let reason = $state('');
  let upgrade = $state(false);
  let allTheSame = $state(false);
  let became = $state<'' | 'scrap' | 'tested' | 'untested' | 'seller'>('scrap');
  let ended = $state<'' | 'failed' | 'worked'>('');
  let hadHours = $state('');

  const list = (query: { text?: string; class?: string; family?: string }) =>
    told(api.GET('/parts', { params: { query } }));
  const fitting = createQuery(() => ({
    queryKey: ['parts', 'for', job.machine.family, ...new Set(wanted)],
    queryFn: async () =>
      (
        await Promise.all(
          [...new Set(wanted)].map((name) => list({ class: name, family: job.machine.family })),
        )
      ).flatMap((shelf) => shelf.parts),
    enabled: open,
  }));
  const found = createQuery(() => ({
    queryKey: ['parts', text.trim()],
    queryFn: () => list({ text: text.trim() }),
    enabled: open && text.trim().length > 1,
  }));
  const offered = $derived(
    text.trim().length > 1 ? (found.data?.parts ?? []).slice(0, 7) : (fitting.data ?? []).slice(0, 7),
  );
  const places = $derived(
    job.positions
      .filter((p) => allTheSame || p.partClass === part?.class)
      .map((p) => ({ code: p.position, name: p.name })),
  );

  const asks = $derived(work.error('askedFor'));
  const left = $derived(work.leftover('quantity', 'askedFor', ...(part ? ['position', 'reason'] : [])));

  function pick(chosen: Part): void {
    part = chosen;
    position = job.positions.find((p) => p.partClass === chosen.class)?.position ?? '';
  }

  /** What became of the part that sat there. */
  function old() {
    if (position === '' || became === '') return { oldBecame: null, oldGrade: null };
    if (became === 'tested' || became === 'untested')
      return { oldBecame: 'spare' as const, oldGrade: became };
    return { oldBecame: became, oldGrade: null };
  }

  async function use(askedFor: boolean): Promise<void> {
    if (!part) return;
    const body = {
      part: part.number,
      quantity: number(quantity) ?? 0,
      position: position || null,
      reason: reason.trim() || null,
      upgrade,
      allTheSame,
      askedFor,
      ...old(),
      oldEnded: position === '' ? null : ended || null,
      hadHours: part.grade === 'new' || position === '' ? null : number(hadHours),
    };
    const used = await work.do(async () =>
      keepJob(client, await told(api.POST('/jobs/{job}/parts', { params: { path: { job: job.id } }, body }))),
    );
    if (used) {
      part = null;
      reason = '';
      upgrade = allTheSame = false;
      ended = hadHours = '';
      text = '';
      quantity = '1';
      open = false;
    }
  }
</script>

{#if open && part}
  <Form class="mt-2 grid gap-3 border-l-4 border-wash pl-4" onsend={() => use(false)}>
    <p>
      <strong>{part.name}</strong>
      <span class="text-quiet"
        >bin <span class="fig">{part.bin}</span>, <span class="fig">{part.onHand}</span> left</span
      >
    </p>
    <div class="w-32">
      <Field label="How many" bind:value={quantity} numeric focus error={work.error('quantity')} />
    </div>
    {#if allTheSame}
      <Select
        label="Where does it go"
        bind:value={position}
        none="no position"
        choices={places}
        error={work.error('position')}
      />
    {:else if places.length > 0}
      <Press
        label="Where does it go"
        bind:value={position}
        choices={[...places, { code: '', name: 'no position' }]}
        error={work.error('position')}
      />
    {/if}
    {#if position !== ''}
      <Press
        label="The old one"
        bind:value={became}
        choices={[
          { code: 'scrap', name: 'scrap' },
          { code: 'tested', name: 'spare, tested' },
          { code: 'untested', name: 'spare, untested' },
          { code: 'seller', name: 'back to the seller' },
          { code: '', name: 'not said' },
        ]}
      />
      <HadItFailed bind:ended />
      {#if part.grade !== 'new'}
        <div class="w-56">
          <Field
            label="Hours this one has already"
            bind:value={hadHours}
            numeric
            unit="h"
            hint="leave it empty when nobody knows"
            error={work.error('hadHours')}
          />
        </div>
      {/if}
      <Field
        label={allTheSame ? 'All the same, because' : 'Why'}
        bind:value={reason}
        maxlength={200}
        error={work.error('reason')}
      />
      <Check bind:checked={upgrade}>an upgrade: not what the maker put there</Check>
    {/if}
    <Check bind:checked={allTheSame}>it does not belong there and goes there all the same, on purpose</Check>
    {#if asks}
      <p class="text-waiting">▢ {asks}</p>
      <div><Button busy={work.busy} onclick={() => use(true)}>Asked, or we bear it: take it</Button></div>
    {/if}
    <Problem message={left} />
    <div class="flex gap-2">
      <Button kind="main" type="submit" busy={work.busy}>Take from bin</Button>
      <Button onclick={() => (part = null)}>Another part</Button>
    </div>
  </Form>
{:else if open}
  <div class="mt-2 border-l-4 border-wash pl-4">
    <Field
      label="Which part: scan, number, name or bin"
      bind:value={text}
      focus
      onenter={() => offered[0] && pick(offered[0])}
    />
    <ul class="mt-1" aria-label="Parts that fit">
      {#each offered as candidate (candidate.number)}
        <li class="rule-below">
          <button
            type="button"
            class="flex min-h-11 w-full items-center justify-between gap-3 px-1 text-left hover:bg-wash"
            onclick={() => pick(candidate)}
          >
            <span class="min-w-0 break-words"
              >{candidate.name}
              {#if candidate.suspect}<span class="text-sm text-out">✕ a bad batch may lie among them</span
                >{:else if candidate.grade === 'untested'}<span class="text-sm text-waiting">▢ untested</span
                >{/if}</span
            >
            <span class="shrink-0 text-sm text-quiet"
              >bin <span class="fig">{candidate.bin}</span>,
              <span class={['fig', candidate.onHand === 0 && 'font-bold text-out']}>{candidate.onHand}</span> left</span
            >
          </button>
        </li>
      {:else}
        <li class="py-2 text-sm text-quiet">
          {text.trim().length > 1 ? 'No part is called so.' : 'Type a name, a number or a bin.'}
        </li>
      {/each}
    </ul>
    <Button kind="quiet" onclick={() => (open = false)}>Not now</Button>
  </div>
{/if}
