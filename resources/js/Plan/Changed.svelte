<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import Dialog from '@/ui/Dialog.svelte';
  import Field from '@/ui/Field.svelte';
  import Form from '@/ui/Form.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** I go, or come later: the plan is made anew without me. */
  let { open = $bindable(false), day }: { open: boolean; day: string } = $props();
  const me = here();
  const client = useQueryClient();
  const work = new Work();
  let first = $state('');
  let from = $state('');
  let to = $state('');
  let why = $state('');
  $effect(() => {
    if (open && first === '') first = day;
  });

  async function send(): Promise<void> {
    const kept = await work.do(async () => {
      const body = { person: me.person.id, first, from: from || null, to: to || null, why };
      client.setQueryData(['calendar'], await told(api.POST('/plan/days-off', { body })));
      await client.invalidateQueries({ queryKey: ['today'] });
    });
    if (kept) {
      [from, to, why] = ['', '', ''];
      open = false;
    }
  }
</script>

<Dialog bind:open title="Something changed">
  <p class="text-sm">
    What happens to a machine is noted at its job: a step that takes longer, a proof that fails, a part that
    comes. The plan hears of it by itself. Say here when you are not at the bench.
  </p>
  <Form class="mt-3 grid gap-3" onsend={send}>
    <Field label="Day" type="date" bind:value={first} error={work.error('first') ?? work.error('last')} />
    <div class="grid grid-cols-2 gap-3">
      <Field
        label="I am away from"
        bind:value={from}
        mono
        maxlength={5}
        hint="such as 14:30; empty for the whole day"
        error={work.error('from')}
      />
      <Field
        label="until"
        bind:value={to}
        mono
        maxlength={5}
        hint="empty until closing"
        error={work.error('to')}
      />
    </div>
    <Field
      label="Why"
      bind:value={why}
      maxlength={120}
      hint="a word, such as “dentist”"
      error={work.error('why')}
    />
    <Problem message={work.leftover('first', 'last', 'from', 'to', 'why')} />
    <div><Button kind="main" type="submit" busy={work.busy}>Plan anew</Button></div>
  </Form>
</Dialog>
