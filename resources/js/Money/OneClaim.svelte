<script lang="ts">
  import { api, told } from '@/api/client';
  import type { Claims } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import { p } from '@/router';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import Form from '@/ui/Form.svelte';
  import { day, money, percent } from '@/ui/format';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import SumField from '@/ui/SumField.svelte';
  import Tag from '@/ui/Tag.svelte';
  import { Work } from '@/ui/work.svelte';
  import { typed } from './sums';

  /** One claim: what is said of it, and whether to wait. */
  let { claim, keep }: { claim: Claims['open'][number]; keep: (all: Claims) => void } = $props();

  const me = here();
  const work = new Work();
  let doing = $state<'say' | 'close' | null>(null);
  let saidBy = $state<'we' | 'they'>('they');
  let text = $state('');
  let nextOn = $state('');
  let end = $state<'won' | 'partly' | 'lost' | 'dropped'>('won');
  let got = $state('');
  const at = (date: string): string => day(`${date}T12:00:00Z`, 'UTC');
  const states = {
    open: 'open',
    won: '✓ met',
    partly: '✓ met in part',
    lost: '✕ not met',
    dropped: 'dropped',
  };
  const claimed = { machine: 'the whole machine', part: 'a part', money: 'money' };
  const path = $derived({ params: { path: { claim: claim.id } } });

  const say = () =>
    work.do(async () => {
      const body = { saidBy, text, nextOn: typed(nextOn) };
      keep(await told(api.POST('/money/claims/{claim}/words', { ...path, body })));
      doing = null;
      text = '';
    });
  const close = () =>
    work.do(async () => {
      keep(
        await told(api.POST('/money/claims/{claim}/end', { ...path, body: { state: end, got: typed(got) } })),
      );
    });
</script>

<article class="mt-3 border-t border-line pt-2" aria-label="Claim against {claim.against}">
  <div class="grid gap-x-6 gap-y-2 lg:grid-cols-[minmax(0,1fr)_22rem]">
    <div class="min-w-0">
      <p class="flex flex-wrap items-center gap-x-3">
        <a href={p('/machines/:tag', { params: { tag: claim.tag } })}><Tag tag={claim.tag} /></a>
        <span>{claim.familyName}</span>
        <span class="font-semibold">{claim.against}</span>
        <span class="text-sm text-quiet"
          >{claim.againstIs}, {claimed[claim.claims]},
          <span class="fig">{money(claim.worthMinor, me.currency)}</span>, since {day(
            claim.at,
            me.zone,
          )}</span
        >
        {#if claim.job}<a
            class="text-sm text-action underline"
            href={p('/jobs/:id', { params: { id: String(claim.job) } })}>its job</a
          >{/if}
      </p>
      <p class="break-words">{claim.what}</p>
      {#if claim.proof.length > 0 || claim.video}<p class="text-sm text-quiet">
          Proof: {claim.proof.join('; ')}{claim.proof.length > 0 && claim.video ? '; ' : ''}
          {#if claim.video}<a class="underline" href={claim.video} rel="noopener noreferrer" target="_blank"
              >film</a
            >{/if}
        </p>{/if}
      <ul class="mt-1 text-sm">
        {#each claim.said as word, i (i)}
          <li class="break-words">
            <span class="text-quiet">{at(word.saidOn)} {word.saidBy === 'we' ? '→ we' : '← they'}:</span>
            {word.text}
          </li>
        {/each}
      </ul>
      {#if claim.state === 'open'}
        {#if doing === 'say'}
          <Form class="mt-2 grid max-w-xl gap-3 border-l-4 border-wash pl-4" onsend={say}>
            <Press
              label="Who said it"
              bind:value={saidBy}
              choices={[
                { code: 'they', name: 'They said' },
                { code: 'we', name: 'We said' },
              ]}
            />
            <Field
              label="What"
              bind:value={text}
              rows={2}
              maxlength={2000}
              focus
              error={work.error('text')}
            />
            <Field
              label="Look again on"
              type="date"
              bind:value={nextOn}
              error={work.error('nextOn') ?? work.error('saidOn')}
            />
            <Problem message={work.leftover('text', 'nextOn', 'saidOn')} />
            <div class="flex gap-3">
              <Button kind="main" type="submit" busy={work.busy}>Note it</Button>
              <Button kind="quiet" onclick={() => (doing = null)}>Not now</Button>
            </div>
          </Form>
        {:else if doing === 'close'}
          <Form class="mt-2 grid max-w-xl gap-3 border-l-4 border-wash pl-4" onsend={close}>
            <Press
              label="How it ended"
              bind:value={end}
              choices={[
                { code: 'won', name: 'Met' },
                { code: 'partly', name: 'Met in part' },
                { code: 'lost', name: 'Not met' },
                { code: 'dropped', name: 'We dropped it' },
              ]}
            />
            {#if end === 'won' || end === 'partly'}<SumField
                label="It brought"
                bind:value={got}
                hint="a part at what it would have cost"
                error={work.error('got')}
              />{/if}
            <Problem message={work.leftover('got')} />
            <div class="flex gap-3">
              <Button kind="main" type="submit" busy={work.busy}>Close it</Button>
              <Button kind="quiet" onclick={() => (doing = null)}>Not now</Button>
            </div>
          </Form>
        {:else}
          <div class="mt-1 flex gap-3">
            <Button kind="quiet" onclick={() => (doing = 'say')}>Note what was said…</Button>
            <Button kind="quiet" onclick={() => (doing = 'close')}>It ended…</Button>
          </div>
        {/if}
      {/if}
    </div>
    <div class="text-sm">
      {#if claim.state === 'open'}
        <p
          class={claim.mend
            ? 'border-l-4 border-out bg-out-wash px-3 py-2 font-semibold text-out'
            : 'border-l-4 border-wash px-3 py-1'}
        >
          {claim.mend ? '▲ ' : ''}{claim.advice}
        </p>
        <p class="mt-1 text-quiet">
          <span class="fig">{percent(claim.chance ?? 0)}</span> of 100 that it is met: {claim.chanceBecause}
          {#if claim.breaksEvenDays !== null}Worth <span class="fig">{claim.breaksEvenDays}</span> days of
            waiting; the machine has stood <span class="fig">{claim.idleDays}</span>.{/if}
        </p>
        <p class={['mt-1', claim.due ? 'font-semibold text-waiting' : 'text-quiet']}>
          {claim.due ? '▢ ' : ''}{claim.nextOn ? `Look again on ${at(claim.nextOn)}. ` : ''}{claim.deadline
            ? `Deadline ${at(claim.deadline)}.`
            : ''}
        </p>
      {:else}
        <p class={claim.state === 'won' || claim.state === 'partly' ? 'text-well' : 'text-out'}>
          {states[claim.state]}{claim.gotMinor === null ? '' : `, ${money(claim.gotMinor, me.currency)}`}
          <span class="text-quiet">{claim.closedAt ? day(claim.closedAt, me.zone) : ''}</span>
        </p>
      {/if}
    </div>
  </div>
</article>
