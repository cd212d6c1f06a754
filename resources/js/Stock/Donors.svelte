<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { wrote } from '@/api/writes';
  import { donorsQuery } from '@/api/queries';
  import type { DonorPosition, Donors } from '@/api/types';
  import { p } from '@/router';
  import { here } from '@/api/session.svelte';
  import Form from '@/ui/Form.svelte';
  import Select from '@/ui/Select.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { figure } from '@/ui/figure';
  import { hours, money } from '@/ui/format';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import SumField from '@/ui/SumField.svelte';
  import Tag from '@/ui/Tag.svelte';
  import { Work } from '@/ui/work.svelte';
  import ShelfPlaces from './ShelfPlaces.svelte';

  /** Machines that are written off: what can be taken out of them, and what was. */
  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const donors = createQuery(() => donorsQuery());
  type Donor = Donors['donors'][number];

  let taking = $state('');
  let part = $state('');
  let grade = $state<'tested' | 'untested' | ''>('');
  let note = $state('');
  let worth = $state('');

  function open(donor: Donor, position: DonorPosition): void {
    taking = `${donor.tag} ${position.code}`;
    part = position.part ?? (position.choices.length === 1 ? (position.choices[0]?.number ?? '') : '');
    grade = donor.redTag ? 'untested' : '';
    note = worth = '';
    work.refusal = null;
  }

  const take = (donor: Donor, position: DonorPosition) =>
    work.do(async () => {
      const value = worth.trim() === '' ? null : figure('valueMinor', worth);
      wrote(
        client,
        'stock',
        ['donors'],
        await told(
          api.POST('/donors/{tag}/parts', {
            params: { path: { tag: donor.tag } },
            body: {
              position: position.code,
              part: part.trim() || null,
              grade,
              note: note.trim() || null,
              valueMinor: value === null ? null : Math.round(value * 100),
            },
          }),
        ),
      );
      taking = '';
      wrote(client, 'machine');
    });
  const left = (donor: Donor): number => donor.positions.filter((one) => one.left).length;
</script>

<svelte:head><title>Donors · Odd Bench</title></svelte:head>

<main class="px-4 py-3 md:px-5">
  <ShelfPlaces />
  <h1 class="mt-2">Donors</h1>
  {#each donors.data?.donors ?? [] as donor (donor.tag)}
    <section class="mt-4" aria-label="Donor {donor.tag}">
      <h2 class="rule-below flex flex-wrap items-baseline gap-x-3 pb-1.5">
        <a href={p('/machines/:tag', { params: { tag: donor.tag } })}><Tag tag={donor.tag} /></a>
        {donor.familyName}
        <span class="text-sm font-normal text-quiet"
          ><span class="fig">{hours(donor.hours)}</span> h ·
          <span class="fig">{left(donor)}</span> of {donor.positions.length} positions still hold something</span
        >
      </h2>
      {#if donor.redTag}
        <p class="hatch mt-2 max-w-prose rounded-sm px-3 py-1.5 text-sm font-semibold">
          <span class="bg-red px-1">Red tag: unplugged, no power. What comes out of it is untested.</span>
        </p>
      {/if}
      <ul class="grid gap-x-8 lg:grid-cols-2">
        {#each donor.positions as position (position.code)}
          {@const key = `${donor.tag} ${position.code}`}
          <li class="rule-below py-1">
            <div class="flex min-h-11 flex-wrap items-center justify-between gap-x-3">
              <span class={['min-w-0', !position.left && 'text-quiet']}>
                <span class={[position.left && 'font-semibold']}>{position.name}</span>
                <span class="text-sm text-quiet"
                  >{position.partName ?? position.className}{#if position.left && position.hours !== null},
                    <span class="fig">{hours(position.hours)}</span> h{/if}{#if position.costMinor !== null},
                    its share of the price <span class="fig">{money(position.costMinor, me.currency)}</span
                    >{/if}</span
                >
              </span>
              {#if !position.left}
                {#if position.spare}<a
                    class="text-sm text-quiet underline"
                    href={p('/shelf/:number', { params: { number: position.spare } })}
                    >✓ taken: {position.spare}</a
                  >{:else}<span class="text-sm text-quiet">empty</span>{/if}
              {:else if me.person.meetsOwners && taking !== key}
                <Button
                  kind="quiet"
                  label="Take {position.name} of {donor.tag}"
                  onclick={() => open(donor, position)}>Take it out…</Button
                >
              {/if}
            </div>
            {#if taking === key}
              <Form class="mb-3 grid gap-3 sm:grid-cols-2" onsend={() => take(donor, position)}>
                <div class="sm:col-span-2">
                  <Select
                    label="Which part it is"
                    bind:value={part}
                    none="say which…"
                    choices={[
                      ...(position.part ? [{ number: position.part, name: position.partName ?? '' }] : []),
                      ...position.choices.filter((one) => one.number !== position.part),
                    ].map((one) => ({ code: one.number, name: `${one.name} (${one.number})` }))}
                    error={work.error('part')}
                  />
                </div>
                <Press
                  label="Grade"
                  bind:value={grade}
                  choices={donor.redTag
                    ? [{ code: 'untested', name: 'Untested' }]
                    : [
                        { code: 'tested', name: 'Tested' },
                        { code: 'untested', name: 'Untested' },
                      ]}
                  error={work.error('grade')}
                />
                <SumField
                  label="On the shelf at"
                  bind:value={worth}
                  hint={position.costMinor === null
                    ? 'nothing: 0'
                    : `nothing: its share, ${money(position.costMinor, me.currency)}`}
                  error={work.error('valueMinor')}
                />
                <div class="sm:col-span-2">
                  <Field
                    label={grade === 'tested' ? 'How it was tested' : 'What is to be known of it'}
                    bind:value={note}
                    maxlength={200}
                    error={work.error('note')}
                  />
                </div>
                {#if work.refusal && !['part', 'grade', 'note', 'valueMinor'].some( (field) => work.error(field) )}
                  <div class="sm:col-span-2"><Problem message={work.refusal.message} /></div>
                {/if}
                <div class="flex gap-2">
                  <Button kind="main" type="submit" busy={work.busy}>Onto the shelf</Button>
                  <Button kind="quiet" onclick={() => (taking = '')}>Not now</Button>
                </div>
              </Form>
            {/if}
          </li>
        {/each}
      </ul>
    </section>
  {:else}
    <p class="mt-3 text-quiet">
      {donors.isPending
        ? 'Fetching the donors…'
        : 'No machine is a donor. One that is not worth mending is sent to the donor shelf at Send out; then its parts stand here.'}
    </p>
  {/each}
  {#if donors.isError}<p role="alert" class="mt-3 text-out">✕ {donors.error.message}</p>{/if}
</main>
