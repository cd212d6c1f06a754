<script lang="ts">
  import { api, told } from '@/api/client';
  import type { Session } from '@/api/types';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import Form from '@/ui/Form.svelte';
  import Problem from '@/ui/Problem.svelte';
  import Select from '@/ui/Select.svelte';
  import { Work } from '@/ui/work.svelte';
  import { zoneHere, zones } from './zones';

  /** The first visit: what the shop is called and who leads it. */
  let { entered }: { entered: (session: Session) => Promise<void> } = $props();

  const work = new Work();
  let shopName = $state('');
  let zone = $state(zoneHere());
  let currency = $state('EUR');
  let login = $state('');
  let name = $state('');
  let password = $state('');
  const left = $derived(work.leftover('shopName', 'zone', 'currency', 'login', 'name', 'password'));

  const open = () =>
    work.do(async () => {
      const body = { shopName, zone, currency: currency.trim().toUpperCase(), login, name, password };
      await entered(await told(api.POST('/shop', { body })));
    });
</script>

<svelte:head><title>A new shop · Odd Bench</title></svelte:head>

<main class="mx-auto mt-10 max-w-3xl border border-line bg-sheet p-8">
  <p class="font-extrabold">odd bench</p>
  <h1 class="mt-4">Open the shop</h1>
  <p class="mt-1 text-quiet">
    Nobody was here before. Say what the shop is called, and who leads it: that is you.
  </p>
  <Form class="mt-5 grid gap-6" onsend={open}>
    <fieldset class="grid gap-4 md:grid-cols-[minmax(0,1fr)_14rem_7rem]">
      <legend class="rule-below mb-3 w-full pb-1 font-semibold">The shop</legend>
      <Field label="Its name" bind:value={shopName} maxlength={80} error={work.error('shopName')} focus />
      <Select
        label="Where it is"
        bind:value={zone}
        choices={zones()}
        error={work.error('zone')}
        class="w-full"
      />
      <Field label="Currency" bind:value={currency} maxlength={3} mono error={work.error('currency')} />
    </fieldset>
    <fieldset class="grid gap-4 md:grid-cols-2">
      <legend class="rule-below mb-3 w-full pb-1 font-semibold">Who leads it</legend>
      <Field
        label="Your name"
        bind:value={name}
        maxlength={120}
        autocomplete="name"
        error={work.error('name')}
      />
      <Field
        label="Login"
        bind:value={login}
        maxlength={60}
        hint="short, such as bo"
        autocomplete="username"
        error={work.error('login')}
      />
      <div class="md:col-span-2">
        <Field
          label="Password"
          type="password"
          bind:value={password}
          hint="12 characters or more: three or four words that have nothing to do with each other"
          autocomplete="new-password"
          error={work.error('password')}
        />
      </div>
    </fieldset>
    <Problem message={left} />
    <div><Button kind="main" type="submit" busy={work.busy}>Open the shop</Button></div>
  </Form>
</main>
