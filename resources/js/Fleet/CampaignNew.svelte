<script lang="ts">
  import { createQuery, keepPreviousData, useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { campaignsQuery, farmQuery, knowledgeQuery } from '@/api/queries';
  import { here } from '@/api/session.svelte';
  import { wrote } from '@/api/writes';
  import { navigate, route } from '@/router';
  import Button from '@/ui/Button.svelte';
  import Check from '@/ui/Check.svelte';
  import Field from '@/ui/Field.svelte';
  import Problem from '@/ui/Problem.svelte';
  import Select from '@/ui/Select.svelte';
  import Tag from '@/ui/Tag.svelte';
  import { number } from '@/ui/format';
  import { Work } from '@/ui/work.svelte';
  import FleetPlaces from './FleetPlaces.svelte';
  import { type Origin, origins } from './campaign';

  /** A campaign begins: what is looked for, and on which machines. Whom it is about is counted while it is typed. */
  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const knowledge = createQuery(() => knowledgeQuery());
  const farm = createQuery(() => farmQuery(2, 'farm'));
  const campaigns = createQuery(() => campaignsQuery());
  const asked = route.search as Record<string, string | undefined>;
  let origin = $state<string>(asked['part'] ? 'batch' : 'thought');
  let title = $state(asked['title'] ?? '');
  let because = $state('');
  let fault = $state('');
  let lookFor = $state('');
  let dangerous = $state(false);
  let mend = $state('');
  let dueOn = $state('');
  let assignedTo = $state('');
  let family = $state('');
  let partClass = $state('');
  let part = $state(asked['part'] ?? '');
  let batch = $state(asked['batch'] ?? '');
  let hoursFrom = $state('');
  let hoursTo = $state('');
  let heldAs = $state('');
  let place = $state('');
  let rack = $state('');

  const who = $derived({
    families: family ? [family] : [],
    class: partClass || null,
    part: part.trim() || null,
    batch: batch.trim() || null,
    hoursFrom: number(hoursFrom),
    hoursTo: number(hoursTo),
    heldAs: (heldAs || null) as 'owner' | 'farm' | 'resale' | null,
    place: (place || null) as 'bench' | 'service' | 'owner' | 'sale' | null,
    rack: rack ? Number(rack) : null,
  });
  const said = $derived(
    who.families.length > 0 ||
      [who.class, who.part, who.hoursFrom, who.hoursTo, who.heldAs, who.place, who.rack].some(
        (one) => one !== null,
      ),
  );
  const about = createQuery(() => ({
    queryKey: ['who', JSON.stringify(who)],
    queryFn: () => told(api.POST('/campaigns/who', { body: { who } })),
    enabled: said,
    placeholderData: keepPreviousData,
    retry: false,
  }));

  const begin = () =>
    work.do(async () => {
      const campaign = await told(
        api.POST('/campaigns', {
          body: {
            origin: origin as Origin,
            title: title.trim(),
            because: because.trim() || null,
            fault: fault || null,
            look: null,
            lookFor: lookFor.trim() || null,
            dangerous,
            mend: mend.trim() || null,
            assignedTo: assignedTo ? Number(assignedTo) : null,
            dueOn: dueOn || null,
            who,
          },
        }),
      );
      wrote(client, 'looks', ['campaign', campaign.id], campaign);
      await navigate('/campaigns/:id', { params: { id: String(campaign.id) } });
    });
</script>

<svelte:head><title>Begin a campaign · Odd Bench</title></svelte:head>

<main class="px-4 py-2 md:px-5">
  <FleetPlaces />
  <h1 class="mt-2">Begin a campaign</h1>
  <form
    class="mt-2 grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]"
    onsubmit={(event) => {
      event.preventDefault();
      void begin();
    }}
  >
    <section class="grid content-start gap-3" aria-labelledby="what">
      <h2 id="what">What is looked for</h2>
      <div class="grid gap-3 sm:grid-cols-[11rem_minmax(0,1fr)]">
        <Select
          label="It began with"
          bind:value={origin}
          choices={Object.entries(origins).map(([code, name]) => ({ code, name: name.replace('from ', '') }))}
        />
        <Field label="Name" bind:value={title} maxlength={120} error={work.error('title')} focus />
      </div>
      <Select
        label="Fault, where there is one"
        bind:value={fault}
        none="none of the catalogue"
        choices={knowledge.data?.faults ?? []}
        error={work.error('fault')}
      />
      <Field
        label="What to look for, so that somebody else sees it"
        bind:value={lookFor}
        rows={2}
        maxlength={400}
        error={work.error('lookFor')}
      />
      <Field label="Why" bind:value={because} maxlength={400} error={work.error('because')} />
      <Field
        label="What puts it right, as far as known"
        bind:value={mend}
        maxlength={400}
        error={work.error('mend')}
      />
      <div class="flex flex-wrap items-end gap-5">
        <Select
          label="By whom"
          bind:value={assignedTo}
          none="whoever is free"
          choices={(campaigns.data?.people ?? []).map((one) => ({ code: String(one.id), name: one.name }))}
          error={work.error('assignedTo')}
          class="w-44"
        />
        <div class="w-44">
          <Field label="Done by" type="date" bind:value={dueOn} error={work.error('dueOn')} />
        </div>
        <Check bind:checked={dangerous}>Somebody can be hurt by it: fire, mains, heat</Check>
      </div>
    </section>
    <section class="grid content-start gap-3" aria-labelledby="who">
      <h2 id="who">On which machines</h2>
      <p class="text-sm text-quiet">All that meet everything you say. Say at least one thing.</p>
      <div class="grid gap-3 sm:grid-cols-2">
        <Select
          label="Family"
          bind:value={family}
          none="any"
          choices={me.words.families}
          error={work.error('who.families.0')}
        />
        <Select
          label="All that have, whoever made them"
          bind:value={partClass}
          none="any part"
          choices={knowledge.data?.partClasses ?? []}
          error={work.error('who.class')}
        />
        <Field
          label="Part that sits in them"
          mono
          bind:value={part}
          maxlength={30}
          error={work.error('who.part')}
        />
        <Field
          label="Batch of that part"
          mono
          bind:value={batch}
          maxlength={60}
          error={work.error('who.batch')}
        />
        <Field
          label="Print hours from"
          numeric
          unit="h"
          bind:value={hoursFrom}
          error={work.error('who.hoursFrom')}
        />
        <Field label="up to" numeric unit="h" bind:value={hoursTo} error={work.error('who.hoursTo')} />
        <Select
          label="Whose"
          bind:value={heldAs}
          none="anybody’s"
          choices={[
            { code: 'farm', name: 'own farm' },
            { code: 'owner', name: 'owners’' },
            { code: 'resale', name: 'for resale' },
          ]}
        />
        <Select
          label="Where they are"
          bind:value={place}
          none="anywhere"
          choices={[
            { code: 'service', name: 'in service' },
            { code: 'bench', name: 'on the bench' },
            { code: 'owner', name: 'with their owners' },
            { code: 'sale', name: 'for sale' },
          ]}
        />
        <Select
          label="Rack"
          bind:value={rack}
          none="any"
          choices={(farm.data?.racks ?? []).map((one) => ({ code: String(one.id), name: one.name }))}
        />
      </div>
      <div class="bg-side px-3 py-2.5 text-sm" role="status">
        {#if !said}Nothing said yet.
        {:else if about.isError}<span class="text-out">✕ {about.error.message}</span>
        {:else if about.data}
          <strong
            ><span class="fig">{about.data.all}</span> {about.data.all === 1 ? 'machine' : 'machines'}</strong
          >,
          <span class="fig">{about.data.running}</span> in use,
          <span class="fig">{about.data.atOwners}</span> with their owners.
        {:else}Counting…{/if}
      </div>
      <div>
        <Problem
          message={work.leftover(
            'title',
            'fault',
            'lookFor',
            'because',
            'mend',
            'dueOn',
            'who.families',
            'who.class',
            'who.part',
            'who.batch',
            'who.hoursFrom',
            'who.hoursTo',
          )}
        />
        <div class="mt-2"><Button type="submit" kind="main" busy={work.busy}>Begin</Button></div>
      </div>
      {#if said && about.data}
        <p class="flex flex-wrap gap-1.5 text-sm">
          {#each about.data.tags as tag (tag)}<Tag {tag} />{/each}
          {#if about.data.all > about.data.tags.length}<span class="text-quiet">and more</span>{/if}
        </p>
      {/if}
    </section>
  </form>
</main>
