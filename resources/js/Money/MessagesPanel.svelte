<script lang="ts">
  import { api, told } from '@/api/client';
  import type { JobMoney } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import Form from '@/ui/Form.svelte';
  import { clock, day } from '@/ui/format';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import Select from '@/ui/Select.svelte';
  import { Work } from '@/ui/work.svelte';
  import { type Way, wayName, ways } from './sums';

  /** What the owner was told and answered. The shop sends it; this remembers. */
  let { money, keep }: { money: JobMoney; keep: (money: JobMoney) => void } = $props();

  const me = here();
  const work = new Work();
  let kind = $state<'told' | 'answered'>('told');
  let way = $state<string>('phone');
  let text = $state('');
  let noting = $state(false);
  const marks = { told: '→', estimate: '→', ready: '→', reminder: '→', answered: '←' };
  const said = {
    told: 'told',
    estimate: 'estimate',
    ready: 'ready',
    reminder: 'letter',
    answered: 'answered',
  };

  const note = () =>
    work.do(async () => {
      keep(
        await told(
          api.POST('/jobs/{job}/messages', {
            params: { path: { job: money.job } },
            body: { kind, way: way as Way, text },
          }),
        ),
      );
      text = '';
      noting = false;
    });
</script>

<section aria-labelledby="messages">
  <h2 id="messages" class="rule-below pb-1.5">Told and answered</h2>
  {#if noting}
    <Form class="mt-2 grid gap-3" onsend={note}>
      <Press
        label="Who said it"
        bind:value={kind}
        choices={[
          { code: 'told', name: 'We told' },
          { code: 'answered', name: 'The owner said' },
        ]}
      />
      <Select label="How" bind:value={way} choices={ways} />
      <Field label="What" bind:value={text} rows={3} maxlength={4000} focus error={work.error('text')} />
      <Problem message={work.leftover('text')} />
      <div class="flex gap-3">
        <Button kind="main" type="submit" busy={work.busy}>Note it</Button>
        <Button kind="quiet" onclick={() => (noting = false)}>Not now</Button>
      </div>
    </Form>
  {:else}<div class="mt-2"><Button onclick={() => (noting = true)}>Note what was said…</Button></div>{/if}
  <ul class="mt-2 text-sm">
    {#each money.messages as message, i (i)}
      <li class="rule-below py-1.5">
        <p class="text-quiet">
          <span aria-hidden="true">{marks[message.kind]}</span>
          {said[message.kind]}, {wayName(message.way)}, {day(message.at, me.zone)}
          {clock(message.at, me.zone)}{message.by ? `, ${message.by}` : ''}
        </p>
        <p class="break-words whitespace-pre-line">{message.text}</p>
      </li>
    {:else}
      <li class="text-quiet">Nothing was said yet.</li>
    {/each}
  </ul>
</section>
