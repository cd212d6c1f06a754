<script lang="ts">
  import { api, told } from '@/api/client';
  import type { JobMoney } from '@/api/types';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import Form from '@/ui/Form.svelte';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import SumField from '@/ui/SumField.svelte';
  import { Work } from '@/ui/work.svelte';
  import { inField, typed, type Way, ways } from './sums';

  /** What the owner answered, taken down. */
  let {
    money,
    sent,
    keep,
  }: { money: JobMoney; sent: JobMoney['sent'][number]; keep: (money: JobMoney) => void } = $props();

  const work = new Work();
  type Said = 'go-ahead' | 'ask-above' | 'do-not-mend';
  let answer = $state<Said | ''>('');
  let upTo = $state('');
  let saidBy = $state('');
  let way = $state<Way>('phone');

  function choose(said: Said): void {
    upTo =
      said === 'do-not-mend'
        ? ''
        : inField(said === 'go-ahead' ? Math.max(sent.ceilingMinor, sent.expectedMinor) : sent.expectedMinor);
  }
  const send = () =>
    work.do(async () => {
      const body = {
        answer: answer || 'go-ahead',
        upTo: answer === 'do-not-mend' ? null : typed(upTo),
        saidBy: saidBy.trim() || money.owner || '',
        way,
      };
      keep(
        await told(
          api.POST('/jobs/{job}/estimates/{estimate}/answer', {
            params: { path: { job: money.job, estimate: sent.id } },
            body,
          }),
        ),
      );
    });
</script>

<Form class="mt-2 grid gap-3 border-l-4 border-wash pl-4" onsend={send}>
  <Press
    label="The owner says"
    bind:value={answer}
    onchange={choose}
    choices={[
      { code: 'go-ahead', name: 'Go ahead up to…' },
      { code: 'ask-above', name: 'Ask me again above…' },
      { code: 'do-not-mend', name: 'Do not mend it' },
    ]}
    error={work.error('answer')}
  />
  {#if answer !== ''}
    <div class="grid items-start gap-3 sm:grid-cols-[11rem_minmax(0,1fr)]">
      {#if answer !== 'do-not-mend'}<SumField
          label={answer === 'go-ahead' ? 'Up to' : 'Above'}
          bind:value={upTo}
          error={work.error('upTo')}
        />{/if}
      <Field
        label="Who said so"
        bind:value={saidBy}
        maxlength={120}
        hint={money.owner ? `${money.owner} unless said` : ''}
        error={work.error('saidBy')}
      />
    </div>
    <Press label="How" bind:value={way} choices={ways} />
    <Problem message={work.leftover('answer', 'upTo', 'saidBy')} />
    <div><Button kind="main" type="submit" busy={work.busy}>Keep the answer</Button></div>
  {/if}
</Form>
