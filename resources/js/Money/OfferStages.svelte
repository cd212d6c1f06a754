<script lang="ts">
  import { api, told } from '@/api/client';
  import { wrote } from '@/api/writes';
  import { useQueryClient } from '@tanstack/svelte-query';
  import type { OfferPage } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import SumField from '@/ui/SumField.svelte';
  import Form from '@/ui/Form.svelte';
  import { money } from '@/ui/format';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { onKeys } from '@/ui/keys';
  import Key from '@/ui/Key.svelte';
  import { Work } from '@/ui/work.svelte';
  import { inField } from './sums';

  /** The tests one below the other: what each takes and when to stop; once bought, how it went against the plan. */
  let { offer }: { offer: OfferPage } = $props();

  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const next = $derived(
    offer.state === 'bought' && !offer.stages.some((s) => s.outcome === 'failed' || s.outcome === 'stopped')
      ? offer.stages.find((s) => s.outcome === null)
      : undefined,
  );
  let how = $state(false);
  let noting = $state(false);
  $effect(() => onKeys({ h: () => (how = !how) }));
  let outcome = $state<'passed' | 'failed' | 'stopped'>('passed');
  let real = $state('');
  const marks = { passed: '✓ passed', failed: '✕ failed', stopped: '✕ stopped' };

  const note = () =>
    work.do(async () => {
      const at = { offer: offer.id, place: next?.place ?? 0 };
      const answer = await told(
        api.POST('/money/offers/{offer}/stages/{place}', { params: { path: at }, body: { outcome, real } }),
      );
      wrote(client, 'offer', ['offer', offer.id], answer);
      noting = false;
    });
</script>

<ol class="mt-3 border-t border-line">
  {#each offer.stages as stage (stage.place)}
    <li class="rule-below py-1.5">
      <div class="grid items-baseline gap-x-4 md:grid-cols-[1.5rem_minmax(0,1fr)_8rem_minmax(0,1.3fr)]">
        <span class="fig font-bold">{stage.place}</span>
        <span
          >{stage.name}{#if how}<span class="fig block text-sm text-quiet">{stage.because}</span>{/if}</span
        >
        <span class="fig text-right"
          >{money(stage.costMinor, me.currency)}{#if stage.realMinor !== null}<span
              class={['block text-sm', stage.realMinor > stage.costMinor ? 'text-out' : 'text-well']}
              >really {money(stage.realMinor, me.currency)}</span
            >{/if}</span
        >
        <span class="text-sm">
          {#if stage.outcome}<span class={stage.outcome === 'passed' ? 'text-well' : 'text-out'}
              >{marks[stage.outcome]}</span
            >
          {:else if !stage.goOn}<span class="text-out">✕ not worth doing: {stage.end} before it</span>
          {:else}<span class="text-quiet"
              >fails: {stage.end}; stop when over
              <span class="fig">{money(stage.stopAboveMinor, me.currency)}</span> is still needed</span
            >{/if}
        </span>
      </div>
      {#if next?.place === stage.place}
        {#if noting}
          <Form class="mt-2 mb-1 grid max-w-xl gap-3 border-l-4 border-wash pl-4" onsend={note}>
            <Press
              label="How it went"
              bind:value={outcome}
              choices={[
                { code: 'passed', name: 'It passed' },
                { code: 'failed', name: 'It failed' },
                { code: 'stopped', name: 'We stopped' },
              ]}
            />
            <SumField
              label="What it really took"
              bind:value={real}
              hint="hands and parts"
              error={work.error('real')}
            />
            <Problem message={work.leftover('real')} />
            <div class="flex gap-3">
              <Button kind="main" type="submit" busy={work.busy}>Note it</Button>
              <Button kind="quiet" onclick={() => (noting = false)}>Not now</Button>
            </div>
          </Form>
        {:else}<Button
            kind="quiet"
            onclick={() => {
              noting = true;
              real = inField(stage.costMinor);
            }}>Note how it went…</Button
          >{/if}
      {/if}
    </li>
  {/each}
</ol>
<button
  type="button"
  class="min-h-9 text-sm text-action underline max-lg:min-h-11"
  aria-expanded={how}
  onclick={() => (how = !how)}>{how ? 'Fold away' : 'How this is worked out'} <Key>h</Key></button
>
