<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { here } from '@/api/session.svelte';
  import type { Owner } from '@/api/types';
  import { p, route } from '@/router';
  import Button from '@/ui/Button.svelte';
  import Check from '@/ui/Check.svelte';
  import Field from '@/ui/Field.svelte';
  import { day } from '@/ui/format';
  import Form from '@/ui/Form.svelte';
  import LinkButton from '@/ui/LinkButton.svelte';
  import { places } from '@/ui/places';
  import Problem from '@/ui/Problem.svelte';
  import Tag from '@/ui/Tag.svelte';
  import { Work } from '@/ui/work.svelte';

  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const id = $derived(Number((route.params as Record<string, string>)['id'] ?? 0));
  const path = $derived({ params: { path: { owner: id } } });
  const owner = createQuery(() => ({
    queryKey: ['owner', id],
    queryFn: () => told(api.GET('/owners/{owner}', path)),
  }));
  let editing = $state(false);
  let merging = $state(false);
  let erasing = $state(false);
  let name = $state('');
  let company = $state(false);
  let contact = $state('');
  let address = $state('');
  let notes = $state('');
  let other = $state('');
  const left = $derived(work.leftover('name', 'contact', 'address', 'notes'));
  const same = createQuery(() => ({
    queryKey: ['owners', other.trim()],
    queryFn: () => told(api.GET('/owners', { params: { query: { text: other.trim() } } })),
    enabled: merging && other.trim().length > 1,
  }));
  const others = $derived((same.data?.owners ?? []).filter((one) => one.id !== id));

  function edit(it: Owner): void {
    name = it.name;
    company = it.company;
    contact = it.contact ?? '';
    address = it.address ?? '';
    notes = it.notes ?? '';
    work.refusal = null;
    editing = true;
  }
  function keep(it: Owner): void {
    client.setQueryData(['owner', it.id], it);
    for (const key of ['owners', 'owner', 'machine', 'machines'])
      void client.invalidateQueries({ queryKey: [key] });
    editing = merging = erasing = false;
  }
  const send = () =>
    work.do(async () => {
      const body = {
        name,
        company,
        contact: contact || null,
        address: address || null,
        notes: notes || null,
      };
      keep(await told(api.PUT('/owners/{owner}', { ...path, body })));
    });
  const merge = (into: number) =>
    work.do(async () => keep(await told(api.POST('/owners/{owner}/merge', { ...path, body: { into } }))));
  const erase = () => work.do(async () => keep(await told(api.POST('/owners/{owner}/erase', { ...path }))));
</script>

<svelte:head><title>{owner.data?.name ?? 'Owner'} · Odd Bench</title></svelte:head>

{#if owner.data}
  {@const it = owner.data}
  {@const gone = it.erasedAt !== null || it.mergedInto !== null}
  <main class="grid lg:min-h-[calc(100vh-7.6rem)] lg:grid-cols-[minmax(0,1fr)_400px]">
    <div class="min-w-0 px-4 py-4 md:px-5">
      <p class="text-sm"><a class="text-quiet underline" href={p('/owners')}>Owners</a></p>
      <div class="flex flex-wrap items-center gap-3">
        <h1 class="[overflow-wrap:anywhere]">{it.name}</h1>
        {#if !gone && !editing}
          <Button onclick={() => edit(it)}>Edit</Button>
          <Button
            kind="quiet"
            onclick={() => {
              merging = !merging;
              other = it.name;
            }}>Is the same as…</Button
          >
          {#if me.person.isLead}
            <LinkButton kind="quiet" href="/files/owners/{it.id}.json" apart
              >All that is kept (JSON)</LinkButton
            >
            <Button kind="quiet" onclick={() => (erasing = !erasing)}>Erase…</Button>
          {/if}
        {/if}
      </div>
      {#if it.mergedInto !== null}
        <p class="mt-3 border-l-4 border-waiting bg-waiting-wash px-3 py-2 text-waiting">
          ▢ Turned out to be another one.
          <a
            class="font-semibold underline"
            href={p('/owners/:id', { params: { id: String(it.mergedInto) } })}>Go there</a
          >
        </p>
      {:else if it.erasedAt !== null}
        <p class="mt-3 border-l-4 border-waiting bg-waiting-wash px-3 py-2 text-waiting">
          ▢ Erased on request, {day(it.erasedAt, me.zone)}. What was done to the machines stays.
        </p>
      {/if}
      {#if merging}
        <div class="mt-3 grid max-w-xl gap-2 border-l-4 border-wash pl-4">
          <Field label="Which other owner is this?" bind:value={other} focus />
          <ul>
            {#each others as one (one.id)}
              <li class="rule-below flex items-center justify-between gap-4 py-1">
                <span
                  ><strong>{one.name}</strong>
                  <span class="text-sm text-quiet"
                    >{one.contact ?? 'no contact'}, {one.machines} machines</span
                  ></span
                >
                <Button label="Merge into {one.name}" busy={work.busy} onclick={() => merge(one.id)}
                  >Merge into this one</Button
                >
              </li>
            {:else}<li class="py-1 text-quiet">Nobody else is called that.</li>{/each}
          </ul>
          <p class="text-sm text-quiet">The machines go over to the other. It cannot be taken apart again.</p>
        </div>
      {/if}
      {#if erasing}
        <div class="mt-3 grid max-w-xl gap-2 border-l-4 border-red pl-4">
          <p>
            The name, the ways to reach them and all notes go, and the codes on their labels open nothing any
            more. What stays: the machines and what was done to them, which warranty and the books may rest
            on. For how long that may be kept, local law says. A name in a complaint or a photograph is not
            found by itself: look through the visits first.
          </p>
          <div class="flex gap-3">
            <Button kind="red" busy={work.busy} onclick={erase}>Erase {it.name}</Button>
            <Button kind="quiet" onclick={() => (erasing = false)}>Not now</Button>
          </div>
        </div>
      {/if}
      {#if work.refusal && !editing}<div class="mt-3"><Problem message={work.refusal.message} /></div>{/if}
      {#if editing}
        <Form class="mt-3 grid max-w-xl gap-4" onsend={send}>
          <Field label="Name" bind:value={name} maxlength={160} focus error={work.error('name')} />
          <Check bind:checked={company}>A company</Check>
          <Field
            label="How to reach them"
            bind:value={contact}
            maxlength={200}
            hint="telephone, e-mail"
            error={work.error('contact')}
          />
          <Field
            label="Address"
            bind:value={address}
            rows={2}
            maxlength={300}
            error={work.error('address')}
          />
          <Field label="Notes" bind:value={notes} rows={3} maxlength={2000} error={work.error('notes')} />
          <Problem message={left} />
          <div class="flex gap-3">
            <Button kind="main" type="submit" busy={work.busy}>Keep</Button>
            <Button kind="quiet" onclick={() => (editing = false)}>Not now</Button>
          </div>
        </Form>
      {:else}
        <dl class="mt-3 grid max-w-xl gap-x-6 gap-y-1 sm:grid-cols-[8rem_minmax(0,1fr)]">
          {#each [['Is', it.company ? 'a company' : 'a person'], ['Reached', it.contact], ['Address', it.address], ['Notes', it.notes], ['Known since', day(it.since, me.zone)]] as [label, value] (label)}
            {#if value}<dt class="text-sm text-quiet">{label}</dt>
              <dd class="whitespace-pre-line">{value}</dd>{/if}
          {/each}
        </dl>
      {/if}
      <h2 class="rule-below mt-6 pb-1.5">What they were told</h2>
      <ul>
        {#each it.told as line (line.job)}
          <li class="rule-below grid gap-x-4 py-1.5 md:grid-cols-[7rem_8rem_minmax(0,1fr)]">
            <span class="text-sm text-quiet">{day(line.at, me.zone)}</span>
            <a class="hover:underline" href={p('/jobs/:id', { params: { id: String(line.job) } })}
              >{line.tag}</a
            >
            <span>{line.text} <span class="text-sm text-quiet">{line.by}</span></span>
          </li>
        {:else}<li class="py-2 text-quiet">
            Nothing yet: what is signed out with a machine stands here.
          </li>{/each}
      </ul>
    </div>
    <aside class="border-line bg-side px-5 py-4 max-lg:border-t lg:border-l">
      <h2>Machines</h2>
      <ul class="mt-1">
        {#each it.machines as machine (machine.tag)}
          <li class="rule-below">
            <a
              class="flex min-h-11 items-center gap-3 py-1 hover:bg-wash"
              href={p('/machines/:tag', { params: { tag: machine.tag } })}
              ><Tag tag={machine.tag} /><span
                >{me.words.families.find((one) => one.code === machine.family)?.name ?? machine.family}</span
              ><span class="ml-auto text-sm text-quiet">{places[machine.place]}</span></a
            >
          </li>
        {:else}<li class="py-2 text-quiet">None.</li>{/each}
      </ul>
    </aside>
  </main>
{:else if owner.isError}
  <main class="p-8">
    <h1>Not here</h1>
    <p class="mt-2">{owner.error.message}</p>
  </main>
{/if}
