<script lang="ts">
  import { api, told } from '@/api/client';
  import type { NotFetched } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import Form from '@/ui/Form.svelte';
  import { day } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import Select from '@/ui/Select.svelte';
  import { Work } from '@/ui/work.svelte';
  import { type Way, ways } from './sums';

  /** A letter to somebody who has not come: its words to copy, and that it went. */
  let {
    job,
    letter,
    due,
    stood,
    refresh,
  }: {
    job: number;
    letter: NotFetched['machines'][number]['letters'][number];
    due: boolean;
    stood: number;
    refresh: () => unknown;
  } = $props();

  const me = here();
  const work = new Work();
  const id = $props.id();
  let open = $state(false);
  let text = $state('');
  let way = $state<string>('letter');

  const send = () =>
    work.do(async () => {
      const body = { afterDays: letter.afterDays, way: way as Way, text };
      await told(api.POST('/jobs/{job}/reminders', { params: { path: { job } }, body }));
      open = false;
      await refresh();
    });
</script>

<div class={open ? 'w-full' : ''}>
  {#if letter.at}
    <p class="min-h-9 py-1.5 text-sm text-well">✓ {letter.afterDays} days: went {day(letter.at, me.zone)}</p>
  {:else if letter.afterDays > stood}
    <p class="min-h-9 py-1.5 text-sm text-quiet">
      {letter.afterDays} days: in {letter.afterDays - stood} days
    </p>
  {:else if !open}
    <Button
      kind={due ? 'main' : 'quiet'}
      onclick={() => {
        open = true;
        text = letter.text;
      }}>Letter after {letter.afterDays} days…</Button
    >
  {:else}
    <Form class="mt-1 grid max-w-xl gap-3 border-l-4 border-wash pl-4" onsend={send}>
      <label class="text-sm font-semibold" for="{id}-text">The letter after {letter.afterDays} days</label>
      <textarea id="{id}-text" class="field text-sm" rows="8" bind:value={text}></textarea>
      <Select label="How it goes" bind:value={way} choices={ways} />
      {#if work.refusal}<Problem message={work.refusal.message} />{/if}
      <div class="flex gap-3">
        <Button kind="main" type="submit" busy={work.busy}>It went</Button>
        <Button kind="quiet" onclick={() => (open = false)}>Not now</Button>
      </div>
    </Form>
  {/if}
</div>
