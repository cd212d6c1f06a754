<script lang="ts">
  import { api, told } from '@/api/client';
  import { here } from '@/api/session.svelte';
  import { p } from '@/router';
  import Button from '@/ui/Button.svelte';
  import Dialog from '@/ui/Dialog.svelte';
  import Field from '@/ui/Field.svelte';
  import Form from '@/ui/Form.svelte';
  import OwnPin from './OwnPin.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  let { open = $bindable(false), leave }: { open?: boolean; leave: () => Promise<void> } = $props();
  const me = here();

  const work = new Work();
  let current = $state('');
  let password = $state('');
  const left = $derived(work.leftover('current', 'password'));

  async function send(): Promise<void> {
    const done = await work.do(() => told(api.PUT('/session/password', { body: { current, password } })));
    if (!done) return;
    current = password = '';
    open = false;
  }
</script>

<Dialog bind:open title="Your password and PIN">
  <p class="mb-4 flex flex-wrap gap-x-5 lg:hidden">
    <span>{me.person.name}, {me.person.role}</span>
    {#if me.person.isLead}<a class="text-action underline" href={p('/shop')} onclick={() => (open = false)}
        >Shop</a
      >{/if}
    <button class="text-action underline" onclick={leave}>Log out</button>
  </p>
  <OwnPin />
  <h3 class="rule-below mt-6 mb-3 pb-1">Another password</h3>
  <Form class="grid gap-4" onsend={send}>
    <Field
      label="The one until now"
      type="password"
      bind:value={current}
      autocomplete="current-password"
      error={work.error('current')}
    />
    <Field
      label="The new one"
      type="password"
      bind:value={password}
      hint="12 characters or more: three or four words that have nothing to do with each other"
      autocomplete="new-password"
      error={work.error('password')}
    />
    <p class="text-sm text-quiet">Wherever else you are logged in you are logged out.</p>
    <Problem message={left} />
    <div><Button kind="main" type="submit" busy={work.busy}>Change it</Button></div>
  </Form>
</Dialog>
