<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, told, wrong } from '@/api/client';
  import { here } from '@/api/session.svelte';
  import { p } from '@/router';
  import Button from '@/ui/Button.svelte';
  import Check from '@/ui/Check.svelte';
  import Field from '@/ui/Field.svelte';
  import { day } from '@/ui/format';
  import Form from '@/ui/Form.svelte';
  import Problem from '@/ui/Problem.svelte';
  import Select from '@/ui/Select.svelte';
  import { Work } from '@/ui/work.svelte';

  /** Tokens for scripts: whose, with which rights, until when. */
  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const tokens = createQuery(() => ({ queryKey: ['tokens'], queryFn: () => told(api.GET('/tokens')) }));
  const people = createQuery(() => ({ queryKey: ['people'], queryFn: () => told(api.GET('/people')) }));
  const words: Record<string, string> = {
    bookIn: 'book in',
    edit: 'edit machines and jobs',
    work: 'findings, readings, mends',
    moveStock: 'move stock',
    seeOwners: 'see owners and prices',
    keepBooks: 'prices, stocktakes, tables',
    seeMoney: 'what things cost and bring, bills, claims, bids',
  };
  let adding = $state(false);
  let name = $state('');
  let person = $state('');
  let days = $state('90');
  let rights = $state<string[]>([]);
  let fresh = $state('');
  const left = $derived(work.leftover('name', 'person', 'days'));

  async function add(): Promise<void> {
    const done = await work.do(async () => {
      if (person === '') throw wrong('person', 'As whom does it work?');
      if (!/^\d+$/.test(days.trim())) throw wrong('days', 'A number of days.');
      const body = { name, person: Number(person), rights: rights as 'bookIn'[], days: Number(days) };
      const page = await told(api.POST('/tokens', { body }));
      fresh = page.token ?? '';
      client.setQueryData(['tokens'], { ...page, token: null });
    });
    if (!done) return;
    adding = false;
    name = '';
    rights = [];
  }
  const revoke = (token: number) =>
    work.do(async () => {
      client.setQueryData(
        ['tokens'],
        await told(api.DELETE('/tokens/{token}', { params: { path: { token } } })),
      );
    });
</script>

<section aria-labelledby="scripts">
  <div class="rule-below flex items-end justify-between gap-4 pb-1.5">
    <h2 id="scripts">Scripts</h2>
    {#if !adding}<Button onclick={() => (adding = true)}>A token</Button>{/if}
  </div>
  {#if fresh}
    <div class="mt-3 border-l-4 border-action bg-wash px-4 py-3" role="status">
      <p>Shown this once; put it where the script reads it:</p>
      <p class="mt-1 font-mono break-all">{fresh}</p>
      <Button kind="quiet" onclick={() => (fresh = '')}>Put away</Button>
    </div>
  {/if}
  {#if adding}
    <Form class="mt-3 grid max-w-xl gap-3 border-l-4 border-wash pl-4" onsend={add}>
      <Field
        label="Which script is it for?"
        bind:value={name}
        maxlength={80}
        focus
        error={work.error('name')}
      />
      <div class="grid grid-cols-2 gap-3">
        <Select
          label="Works as"
          bind:value={person}
          none="choose"
          choices={(people.data?.people ?? [])
            .filter((one) => !one.leftAt)
            .map((one) => ({ code: String(one.id), name: one.name }))}
          error={work.error('person')}
          class="w-full"
        />
        <Field label="Good for" bind:value={days} numeric unit="days" error={work.error('days')} />
      </div>
      <fieldset>
        <legend class="text-sm font-semibold">Besides reading it may</legend>
        <div class="grid sm:grid-cols-2">
          {#each tokens.data?.rights ?? [] as right (right)}
            <Check
              bind:checked={
                () => rights.includes(right),
                (is) => (rights = is ? [...rights, right] : rights.filter((one) => one !== right))
              }>{words[right] ?? right}</Check
            >
          {/each}
        </div>
      </fieldset>
      <Problem message={left} />
      <div class="flex gap-3">
        <Button kind="main" type="submit" busy={work.busy}>Make it</Button>
        <Button kind="quiet" onclick={() => (adding = false)}>Not now</Button>
      </div>
    </Form>
  {/if}
  <ul class="mt-1">
    {#each tokens.data?.tokens ?? [] as token (token.id)}
      <li class="rule-below flex flex-wrap items-center justify-between gap-x-4 py-1.5">
        <span
          ><strong>{token.name}</strong> <span class="text-quiet">as {token.person}</span>
          <span class="block text-sm text-quiet"
            >reads{token.rights.length > 0
              ? `, ${token.rights.map((right) => words[right] ?? right).join(', ')}`
              : ''}; until {day(token.until, me.zone)}{token.lastUsed
              ? `, used ${day(token.lastUsed, me.zone)}`
              : ', never used'}</span
          ></span
        >
        <Button kind="quiet" label="Take the token of {token.name} away" onclick={() => revoke(token.id)}
          >Take away</Button
        >
      </li>
    {/each}
  </ul>
  <p class="mt-2 text-sm text-quiet">
    A script sends <code class="fig">Authorization: Bearer …</code>. It signs nothing.
    <a class="text-action underline" href={p('/scripts')}>What can be asked and written</a>
  </p>
</section>
