<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { here } from '@/api/session.svelte';
  import type { PeoplePage, PersonLine } from '@/api/types';
  import Button from '@/ui/Button.svelte';
  import Check from '@/ui/Check.svelte';
  import Field from '@/ui/Field.svelte';
  import { clock, day } from '@/ui/format';
  import Form from '@/ui/Form.svelte';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';
  import { roles } from './roles';

  /** Who works here: added with a code, changed, reset, gone. */
  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const people = createQuery(() => ({ queryKey: ['people'], queryFn: () => told(api.GET('/people')) }));
  let adding = $state(false);
  let editing = $state<number | null>(null);
  let leaving = $state<number | null>(null);
  let code = $state<{ name: string; code: string } | null>(null);
  let login = $state('');
  let name = $state('');
  let role = $state<PersonLine['role']>('technician');
  let mainsUntil = $state('');
  let mainsBy = $state('');
  let seesMoney = $state(false);
  const left = $derived(work.leftover('login', 'name', 'role', 'mainsUntil', 'mainsBy'));

  function keep(page: PeoplePage): void {
    client.setQueryData(['people'], { ...page, code: null, codeFor: null });
    if (page.code && page.codeFor) code = { name: page.codeFor, code: page.code };
    adding = false;
    editing = leaving = null;
  }
  function start(person: PersonLine | null): void {
    work.refusal = null;
    adding = person === null;
    editing = person?.id ?? null;
    leaving = null;
    login = person?.login ?? '';
    name = person?.name ?? '';
    role = person?.role ?? 'technician';
    mainsUntil = person?.mainsUntil ?? '';
    mainsBy = person?.mainsBy ?? '';
    seesMoney = person?.seesMoney ?? false;
  }
  const add = () =>
    work.do(async () => keep(await told(api.POST('/people', { body: { login, name, role } }))));
  const change = (person: number) =>
    work.do(async () => {
      const body = { name, role, mainsUntil: mainsUntil || null, mainsBy: mainsBy.trim() || null, seesMoney };
      keep(await told(api.PUT('/people/{person}', { params: { path: { person } }, body })));
    });
  const reset = (person: number) =>
    work.do(async () =>
      keep(await told(api.POST('/people/{person}/code', { params: { path: { person } } }))),
    );
  const leave = (person: number) =>
    work.do(async () => keep(await told(api.DELETE('/people/{person}', { params: { path: { person } } }))));
</script>

<section aria-labelledby="people">
  <div class="rule-below flex items-end justify-between gap-4 pb-1.5">
    <h2 id="people">People</h2>
    {#if !adding}<Button onclick={() => start(null)}>Add somebody</Button>{/if}
  </div>
  {#if code}
    <div class="mt-3 border-l-4 border-action bg-wash px-4 py-3" role="status">
      <p>
        Hand this over to <strong>{code.name}</strong>, with the login. It sets a password, once, within two
        days:
      </p>
      <p class="mt-1 font-mono text-2xl tracking-widest">{code.code}</p>
      <Button kind="quiet" onclick={() => (code = null)}>Handed over</Button>
    </div>
  {/if}
  {#if adding}
    <Form class="mt-3 grid max-w-xl gap-3 border-l-4 border-wash pl-4" onsend={add}>
      <Field label="Name" bind:value={name} maxlength={120} error={work.error('name')} focus />
      <Field
        label="Login"
        bind:value={login}
        maxlength={60}
        hint="short, such as bo"
        error={work.error('login')}
      />
      <Press label="Here to" bind:value={role} choices={roles} error={work.error('role')} />
      <Problem message={left} />
      <div class="flex gap-3">
        <Button kind="main" type="submit" busy={work.busy}>Add</Button>
        <Button kind="quiet" onclick={() => (adding = false)}>Not now</Button>
      </div>
    </Form>
  {/if}
  {#if people.isError}<p role="alert" class="mt-3 text-out">✕ {people.error.message}</p>{/if}
  <ul class="mt-1">
    {#each people.data?.people ?? [] as person (person.id)}
      <li class="rule-below py-1.5">
        <div class="grid items-center gap-x-4 md:grid-cols-[minmax(0,1fr)_7rem_minmax(0,1.3fr)_auto]">
          <span class={person.leftAt ? 'text-quiet' : 'font-semibold'}
            >{person.name} <span class="font-mono text-sm font-normal text-quiet">{person.login}</span></span
          >
          <span class={person.leftAt ? 'text-quiet' : ''}>{person.role}</span>
          <span class="text-sm text-quiet">
            {#if person.leftAt}left {day(person.leftAt, me.zone)}
            {:else if person.codeUntil}<span class="text-waiting"
                >▢ has a code until {day(person.codeUntil, me.zone)} {clock(person.codeUntil, me.zone)}</span
              >
            {:else if person.mainsUntil}mains until {day(person.mainsUntil, me.zone)}, says {person.mainsBy}
            {/if}
          </span>
          {#if !person.leftAt}<span class="flex gap-1">
              <Button kind="quiet" label="Change {person.name}" onclick={() => start(person)}>Change</Button>
              <Button kind="quiet" label="New code for {person.name}" onclick={() => reset(person.id)}
                >New code</Button
              >
              <Button
                kind="quiet"
                label="{person.name} leaves"
                onclick={() => {
                  start(null);
                  adding = false;
                  leaving = person.id;
                }}>Leaves</Button
              >
            </span>{/if}
        </div>
        {#if editing === person.id}
          <Form
            class="mt-2 mb-2 grid max-w-xl gap-3 border-l-4 border-wash pl-4"
            onsend={() => change(person.id)}
          >
            <Field label="Name" bind:value={name} maxlength={120} error={work.error('name')} focus />
            <Press label="Here to" bind:value={role} choices={roles} error={work.error('role')} />
            <div class="grid gap-3 sm:grid-cols-2">
              <Field
                label="May work on mains until"
                type="date"
                bind:value={mainsUntil}
                hint="empty: may not"
                error={work.error('mainsUntil')}
              />
              <Field
                label="Who says so"
                bind:value={mainsBy}
                maxlength={120}
                hint="a qualified person, by local rules"
                error={work.error('mainsBy')}
              />
            </div>
            {#if role === 'technician'}<Check bind:checked={seesMoney}
                >Sees what things cost and bring; leads and the counter always do</Check
              >{/if}
            <Problem message={left} />
            <div class="flex gap-3">
              <Button kind="main" type="submit" busy={work.busy}>Keep</Button>
              <Button kind="quiet" onclick={() => (editing = null)}>Not now</Button>
            </div>
          </Form>
        {/if}
        {#if leaving === person.id}
          <div class="my-2 border-l-4 border-wash pl-4">
            <p>
              {person.name} is logged out everywhere at once and cannot come in again. What {person.name} did stays
              under this name.
            </p>
            <Problem message={left} />
            <div class="mt-2 flex gap-3">
              <Button kind="red" busy={work.busy} onclick={() => leave(person.id)}
                >{person.name} leaves</Button
              >
              <Button kind="quiet" onclick={() => (leaving = null)}>Stays</Button>
            </div>
          </div>
        {/if}
      </li>
    {/each}
  </ul>
  {#if left && !adding && editing === null && leaving === null}<Problem message={left} />{/if}
</section>
