<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, asItIs, told } from '@/api/client';
  import { knowledgeQuery } from '@/api/queries';
  import { here } from '@/api/session.svelte';
  import { navigate, p, route } from '@/router';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import FileButton from '@/ui/FileButton.svelte';
  import Form from '@/ui/Form.svelte';
  import LinkButton from '@/ui/LinkButton.svelte';
  import { smaller } from '@/ui/photograph';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import Select from '@/ui/Select.svelte';
  import { traitNames } from '@/ui/traits';
  import { Work } from '@/ui/work.svelte';
  import { content, typed, type FamilyText } from './family';
  import FamilyPositions from './FamilyPositions.svelte';
  import FamilyRows from './FamilyRows.svelte';

  /** A family, written by a lead: a copy of another is the quickest way to a new one. */
  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const code = $derived((route.params as Record<string, string>)['family'] ?? '');
  const from = new URLSearchParams(location.search).get('copy');
  const isNew = $derived(code === 'new');
  const source = $derived(isNew ? (from ?? me.words.families.find((one) => !one.unknown)?.code ?? '') : code);
  const family = createQuery(() => ({
    queryKey: ['family', source],
    queryFn: () => told(api.GET('/families/{family}', { params: { path: { family: source } } })),
    staleTime: 0,
  }));
  let form = $state<FamilyText | null>(null);
  let shown = $state('');
  let kept = $state(false);
  const may = $derived(me.person.isLead);

  $effect(() => {
    const it = family.data;
    if (!it || family.isFetching || shown === `${code}/${source}`) return;
    form = typed(it.content as Record<string, unknown>);
    if (isNew) form = { ...form, name: '', letters: '' };
    shown = `${code}/${source}`;
    kept = false;
  });

  async function again(): Promise<void> {
    me.knowledge = await client.fetchQuery({ ...knowledgeQuery(), staleTime: 0 });
    await client.invalidateQueries({ queryKey: ['family'] });
  }
  async function keep(): Promise<void> {
    const it = form;
    if (!it) return;
    kept = await work.do(async () => {
      const body = { content: content(it) as Record<string, string> };
      const now = isNew
        ? await told(api.POST('/families', { body }))
        : await told(api.PUT('/families/{family}', { params: { path: { family: code } }, body }));
      await again();
      if (isNew) navigate('/families/:family', { params: { family: now.code } });
    });
    if (work.refusal) window.scrollTo({ top: 0, behavior: 'smooth' });
  }
  const drop = () =>
    work.do(async () => {
      const gone = await told(api.DELETE('/families/{family}', { params: { path: { family: code } } }));
      shown = '';
      await again();
      if (!gone.shipped) navigate('/families');
    });
  const photograph = (file: File) =>
    work.do(async () => {
      const path = { params: { path: { family: code } } };
      await told(api.POST('/families/{family}/picture', { ...path, ...asItIs(await smaller(file)) }));
      await again();
    });
</script>

<svelte:head><title>{form?.name || 'A new family'} · Odd Bench</title></svelte:head>

<main class="px-4 py-4 md:px-5">
  <p class="text-sm"><a class="text-quiet underline" href={p('/families')}>Families</a></p>
  {#if family.isError}<p role="alert" class="mt-3 text-out">✕ {family.error.message}</p>{/if}
  {#if form && family.data}
    {@const it = form}
    <div class="flex flex-wrap items-center gap-3">
      <h1>{isNew ? `A new family, begun from ${family.data.content['name']}` : it.name}</h1>
      {#if !isNew}
        {#if may}<LinkButton href="/families/new?copy={code}">Copy it</LinkButton>{/if}
        <LinkButton kind="quiet" href="/files/families/{code}.yaml" apart>As YAML</LinkButton>
        <LinkButton kind="quiet" href="/families/{code}/papers">Papers</LinkButton>
        {#if may && family.data.own}<Button kind="quiet" busy={work.busy} onclick={drop}
            >{family.data.shipped ? 'Back to the shipped one' : 'Take it away'}</Button
          >{/if}
      {/if}
    </div>
    {#if !isNew}<p class="text-sm text-quiet">
        {family.data.machines}
        {family.data.machines === 1 ? 'machine' : 'machines'} of it here{family.data.own
          ? ', written by this shop'
          : ''}
      </p>{/if}
    {#if work.refusal}<div class="mt-3 max-w-3xl">
        <Problem message={work.refusal.message} reasons={work.refusal.errors.map((one) => one.message)} />
      </div>{/if}
    <Form class="mt-4 grid gap-6" onsend={keep}>
      <fieldset class="grid gap-4" disabled={!may}>
        <div class="grid gap-6 lg:grid-cols-[minmax(0,1fr)_18rem]">
          <div class="grid content-start gap-4">
            <div class="grid gap-4 sm:grid-cols-[minmax(0,1fr)_9rem]">
              <Field label="Name" bind:value={it.name} maxlength={80} error={work.error('name')} />
              <Field
                label="Letters of its tags"
                bind:value={it.letters}
                mono
                maxlength={2}
                hint="two of HKMRTWX"
                error={work.error('letters')}
              />
            </div>
            <div class="grid gap-3 sm:grid-cols-2 xl:grid-cols-3">
              {#each Object.entries(me.words.traits) as [trait, values] (trait)}
                <Select
                  label={traitNames[trait] ?? trait}
                  bind:value={() => it.traits[trait] ?? '', (value) => (it.traits[trait] = value)}
                  none="not known"
                  choices={values.map((value) => ({ code: value, name: value }))}
                  error={work.error(`traits.${trait}`)}
                  class="w-full"
                />
              {/each}
            </div>
          </div>
          <div>
            {#if family.data.picture && !isNew}<img
                src={family.data.picture}
                alt="A {it.name}"
                class="w-full border border-line"
              />{/if}
            {#if may && !isNew}<div class="mt-2">
                <FileButton accept="image/*" kind="quiet" onfile={photograph} busy={work.busy}
                  >{family.data.picture ? 'Another picture' : 'Add a picture'}</FileButton
                >
              </div>{/if}
          </div>
        </div>
        <h2 class="rule-below pb-1.5">
          How far it can be driven
          <span class="ml-1 text-sm font-normal text-quiet"
            >nothing of it is moved or heated by the application before this is known</span
          >
        </h2>
        <div
          class="grid grid-cols-2 gap-3 sm:grid-cols-3 lg:grid-cols-[repeat(3,8rem)_auto_auto] lg:items-start"
        >
          {#each ['x', 'y', 'z'] as const as axis (axis)}
            <Field
              label="Builds along {axis.toUpperCase()}"
              bind:value={it.build[axis]}
              numeric
              unit="mm"
              error={work.error(`build.${axis}`)}
            />
          {/each}
          <Press
            label="Its bed"
            bind:value={it.build.shape as 'box'}
            choices={[
              { code: 'box', name: 'Square' },
              { code: 'round' as 'box', name: 'Round' },
            ]}
            error={work.error('build.shape')}
          />
          <Press
            label="Counts from"
            bind:value={it.build.origin as 'corner'}
            choices={[
              { code: 'corner', name: 'A corner' },
              { code: 'middle' as 'corner', name: 'The middle' },
            ]}
            error={work.error('build.origin')}
          />
        </div>
        <div class="grid grid-cols-2 gap-3 lg:grid-cols-4">
          <Field
            label="Hot end stands"
            bind:value={it.heat.hotend_most_c}
            numeric
            unit="°C"
            error={work.error('heat.hotend_most_c')}
          />
          <Field
            label="Bed stands"
            bind:value={it.heat.bed_most_c}
            numeric
            unit="°C"
            error={work.error('heat.bed_most_c')}
          />
          <Field
            label="Hot end, 22 to 200 °C"
            bind:value={it.heat.hotend_rise_s}
            numeric
            unit="s"
            hint="a well one"
            error={work.error('heat.hotend_rise_s')}
          />
          <Field
            label="Bed, 22 to 60 °C"
            bind:value={it.heat.bed_rise_s}
            numeric
            unit="s"
            hint="a well one"
            error={work.error('heat.bed_rise_s')}
          />
        </div>
        <FamilyPositions bind:positions={it.positions} {work} />
        <Field
          label="Fasteners"
          bind:value={it.fasteners}
          rows={2}
          hint="what the tray is filled from most, such as M3x8, M5 t-nut, spring"
          error={work.error('fasteners')}
        />
        <FamilyRows form={it} {work} />
      </fieldset>
      {#if may}
        <div class="flex items-center gap-3">
          <Button kind="main" type="submit" busy={work.busy}>{isNew ? 'Write it down' : 'Keep it so'}</Button>
          {#if kept}<span role="status" class="text-sm font-semibold text-well">✓ kept</span>{/if}
        </div>
      {:else}<p class="text-sm text-quiet">A lead writes families.</p>{/if}
    </Form>
  {/if}
</main>
