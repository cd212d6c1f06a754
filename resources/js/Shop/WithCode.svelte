<script lang="ts">
  import { api, told } from '@/api/client';
  import type { Session } from '@/api/types';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import Form from '@/ui/Form.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** Sets a password with the code a lead handed over, and goes in. */
  let { entered, back }: { entered: (session: Session) => Promise<void>; back: () => void } = $props();

  const work = new Work();
  let login = $state('');
  let code = $state('');
  let password = $state('');
  const left = $derived(work.leftover('login', 'code', 'password'));

  const send = () =>
    work.do(async () => entered(await told(api.POST('/session/code', { body: { login, code, password } }))));
</script>

<Form class="p-8" onsend={send}>
  <p class="font-extrabold">odd bench</p>
  <h1 class="mt-4">Set a password</h1>
  <div class="mt-5 grid gap-4">
    <Field label="Login" bind:value={login} autocomplete="username" error={work.error('login')} focus />
    <Field
      label="Code"
      bind:value={code}
      mono
      hint="ten letters and figures, from a lead"
      autocomplete="one-time-code"
      error={work.error('code')}
    />
    <Field
      label="New password"
      type="password"
      bind:value={password}
      hint="12 characters or more: three or four words that have nothing to do with each other"
      autocomplete="new-password"
      error={work.error('password')}
    />
    <Problem message={left} />
    <div class="flex gap-4">
      <Button kind="main" type="submit" busy={work.busy}>Set it and go in</Button>
      <Button kind="quiet" onclick={back}>Back to the login</Button>
    </div>
  </div>
</Form>
