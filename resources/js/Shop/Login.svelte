<script lang="ts">
  import { api, Refusal, told } from '@/api/client';
  import type { Session } from '@/api/types';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import Problem from '@/ui/Problem.svelte';
  import Check from '@/ui/Check.svelte';
  import OpenShop from './OpenShop.svelte';
  import WhoIsHere from './WhoIsHere.svelte';
  import WithCode from './WithCode.svelte';

  let { session, entered }: { session: Session; entered: (session: Session) => Promise<void> } = $props();

  let withCode = $state(false);
  let withPassword = $state(false);
  let shared = $state(false);
  let login = $state('');
  let password = $state('');
  let refusal = $state<Refusal | null>(null);
  let busy = $state(false);

  async function enter(name: string, secret: string): Promise<void> {
    busy = true;
    refusal = null;
    try {
      await entered(await told(api.POST('/session', { body: { login: name, password: secret, shared } })));
    } catch (error) {
      if (error instanceof Refusal) refusal = error;
      else throw error;
    } finally {
      busy = false;
    }
  }
</script>

<svelte:head><title>Log in · Odd Bench</title></svelte:head>

{#if session.isNew}
  <OpenShop {entered} />
{:else}
  <main class="mx-auto mt-16 grid max-w-3xl gap-0 border border-line bg-sheet md:grid-cols-[1fr_300px]">
    {#if withCode}
      <WithCode {entered} back={() => (withCode = false)} />
    {:else if session.shared && !withPassword}
      <WhoIsHere {session} {entered} withPassword={() => (withPassword = true)} />
    {:else}
      <Form class="p-8" onsend={() => enter(login, password)}>
        <p class="font-extrabold">odd bench</p>
        <h1 class="mt-4">Log in at {session.shopName}</h1>
        <div class="mt-5 grid gap-4">
          <Field
            label="Login"
            bind:value={login}
            autocomplete="username"
            error={refusal?.for('login')}
            focus
          />
          <Field
            label="Password"
            type="password"
            bind:value={password}
            autocomplete="current-password"
            error={refusal?.for('password')}
          />
          <Check bind:checked={shared}>Others use this device too: it asks for a PIN to sign</Check>
          {#if refusal && refusal.errors.length === 0}<Problem message={refusal.message} />{/if}
          <div class="flex flex-wrap gap-4">
            <Button kind="main" type="submit" {busy}>Log in</Button>
            <Button kind="quiet" onclick={() => (withCode = true)}>I have a code</Button>
          </div>
        </div>
      </Form>
    {/if}
    <aside class="border-l border-line bg-side p-6">
      {#if session.demoLogins.length > 0}
        <h2>This is the demo shop</h2>
        <p class="mt-1 text-sm text-quiet">Invented people. Come in as one of them:</p>
        <ul class="mt-3 grid gap-2">
          {#each session.demoLogins as demo (demo.login)}
            <li>
              <button
                type="button"
                class="flex min-h-11 w-full items-center justify-between gap-2 border border-edge bg-white px-3 text-left hover:bg-wash"
                disabled={busy}
                onclick={() => enter(demo.login, demo.password)}
              >
                <span class="font-semibold">{demo.name}</span>
                <span class="text-sm text-quiet">{demo.role}</span>
              </button>
            </li>
          {/each}
        </ul>
      {:else}
        <h2>No login yet?</h2>
        <p class="mt-1 text-sm text-quiet">
          A lead adds you, or gives you a new code when the password is forgotten. With no lead at hand,
          whoever runs the server does: <code class="fig">bin/odd-bench person</code>.
        </p>
      {/if}
    </aside>
  </main>
{/if}
