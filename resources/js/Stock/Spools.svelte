<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { spoolsQuery } from '@/api/queries';
  import type { Spool, Spools } from '@/api/types';
  import { here } from '@/Shop/session.svelte';
  import Button from '@/ui/Button.svelte';
  import Dialog from '@/ui/Dialog.svelte';
  import Field from '@/ui/Field.svelte';
  import { figure } from '@/ui/figure';
  import { day, money } from '@/ui/format';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';
  import ShelfPlaces from './ShelfPlaces.svelte';

  /** Spools: what is left by weight, how long they have stood open, whether they are old or damp. */
  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const spools = createQuery(() => spoolsQuery());
  let opened = $state('');
  let grams = $state('');
  let dryHours = $state('');
  let celsius = $state('');
  let adding = $state(false);
  let material = $state('');
  let colour = $state('');
  let lot = $state('');
  let net = $state('1000');
  let empty = $state('');
  let price = $state('');
  let madeOn = $state('');

  const keep = (all: Spools): void => {
    client.setQueryData(['spools'], all);
  };
  type Kind = 'opened' | 'weighed' | 'dried' | 'used' | 'ended';
  const event = (spool: Spool, kind: Kind) =>
    work.do(async () => {
      keep(
        await told(
          api.POST('/spools/{code}/events', {
            params: { path: { code: spool.code } },
            body: {
              kind,
              grams: kind === 'weighed' || kind === 'used' ? figure('grams', grams) : null,
              hours: kind === 'dried' ? figure('hours', dryHours) : null,
              celsius: kind === 'dried' && celsius.trim() !== '' ? figure('celsius', celsius) : null,
            },
          }),
        ),
      );
      grams = dryHours = celsius = '';
    });
  const add = () =>
    work.do(async () => {
      keep(
        await told(
          api.POST('/spools', {
            body: {
              material,
              colour: colour.trim() || null,
              lot: lot.trim() || null,
              netG: figure('netG', net),
              emptyG: figure('emptyG', empty),
              pricePerKgMinor:
                price.trim() === '' ? null : Math.round(figure('pricePerKgMinor', price) * 100),
              madeOn: madeOn || null,
            },
          }),
        ),
      );
      adding = false;
      colour = lot = empty = madeOn = '';
    });
  const share = (spool: Spool): string => `${Math.max(0, Math.min(100, (100 * spool.leftG) / spool.netG))}%`;
  const words = {
    opened: 'opened',
    weighed: 'weighed',
    dried: 'dried',
    used: 'used',
    job: 'named in a job',
    ended: 'done with',
  } as const;
</script>

<svelte:head><title>Spools · Odd Bench</title></svelte:head>

<main class="px-4 py-3 md:px-5">
  <ShelfPlaces />
  <div class="mt-1 flex flex-wrap items-center gap-4">
    <h1>Spools</h1>
    {#if me.person.meetsOwners}<Button onclick={() => (adding = true)}>New spool</Button>{/if}
  </div>
  <ul class="mt-2 border-t border-line">
    {#each spools.data?.spools ?? [] as spool (spool.code)}
      <li class={['rule-below py-2', spool.ended && 'text-quiet']}>
        <div class="grid items-center gap-x-5 gap-y-1 md:grid-cols-[4rem_minmax(0,1fr)_15rem_auto]">
          <span class="fig font-semibold">{spool.code}</span>
          <span class="min-w-0">
            <span class="font-semibold">{spool.material}{spool.colour ? `, ${spool.colour}` : ''}</span>
            <span class="text-sm text-quiet"
              >{spool.lot ? `lot ${spool.lot} · ` : ''}{spool.ended
                ? 'done with'
                : spool.openedAt
                  ? `open since ${day(spool.openedAt, me.zone)}`
                  : 'sealed'}{spool.driedAt ? ` · dried ${day(spool.driedAt, me.zone)}` : ''}</span
            >
            {#if !spool.ended && (spool.old || spool.damp)}<span class="block text-sm text-waiting"
                >▢ {[spool.old ? 'old' : '', spool.damp ? 'damp by now' : ''].filter(Boolean).join(', ')}: {spool.because.join(
                  '; ',
                )}</span
              >{/if}
          </span>
          <span class="flex items-center gap-2">
            <span class="relative block h-3 w-24 bg-line" aria-hidden="true"
              ><span class="absolute inset-y-0 left-0 bg-action" style="width: {share(spool)}"></span></span
            >
            <span class="text-sm whitespace-nowrap"
              ><span class="fig">{Math.round(spool.leftG)}</span> g
              <span class="text-quiet">· <span class="fig">{Math.round(spool.leftM)}</span> m left</span
              ></span
            >
          </span>
          <Button
            kind="quiet"
            label="{opened === spool.code ? 'Close' : 'Open'} spool {spool.code}"
            onclick={() => {
              opened = opened === spool.code ? '' : spool.code;
              work.refusal = null;
            }}>{opened === spool.code ? 'Less' : 'More'}</Button
          >
        </div>
        {#if opened === spool.code}
          <div class="mt-2 grid gap-6 md:grid-cols-2">
            {#if me.person.meetsOwners && !spool.ended}
              <div class="grid content-start gap-3">
                {#if !spool.openedAt}<div>
                    <Button busy={work.busy} onclick={() => event(spool, 'opened')}>Open it now</Button>
                  </div>{/if}
                <form
                  class="flex flex-wrap items-end gap-2"
                  onsubmit={(submitted) => {
                    submitted.preventDefault();
                    void event(spool, 'weighed');
                  }}
                >
                  <div class="w-52">
                    <Field
                      label="On the scale, spool and all"
                      bind:value={grams}
                      numeric
                      unit="g"
                      error={work.error('grams')}
                    />
                  </div>
                  <Button type="submit" busy={work.busy}>Weighed</Button>
                </form>
                <form
                  class="flex flex-wrap items-end gap-2"
                  onsubmit={(submitted) => {
                    submitted.preventDefault();
                    void event(spool, 'dried');
                  }}
                >
                  <div class="w-24">
                    <Field
                      label="Dried for"
                      bind:value={dryHours}
                      numeric
                      unit="h"
                      error={work.error('hours')}
                    />
                  </div>
                  <div class="w-28">
                    <Field label="at" bind:value={celsius} numeric unit="°C" error={work.error('celsius')} />
                  </div>
                  <Button type="submit" busy={work.busy}>Dried</Button>
                </form>
                {#if spool.drying}<p class="max-w-prose text-sm text-quiet">{spool.drying}</p>{/if}
                <div>
                  <Button kind="quiet" busy={work.busy} onclick={() => event(spool, 'ended')}
                    >It is done with</Button
                  >
                </div>
                {#if work.refusal && !['grams', 'hours', 'celsius'].some( (field) => work.error(field) )}<Problem
                    message={work.refusal.message}
                  />{/if}
              </div>
            {/if}
            <ul class="text-sm">
              {#each spool.events as one, i (i)}
                <li class="rule-below flex justify-between gap-3 py-1">
                  <span
                    >{words[one.kind]}{one.tag ? ` (${one.tag})` : ''}{one.hours !== null
                      ? `, ${one.hours} h`
                      : ''}{one.celsius !== null ? ` at ${one.celsius} °C` : ''}{one.note
                      ? `: ${one.note}`
                      : ''}{#if one.grams !== null}<span class="text-quiet"
                        >, <span class="fig">{Math.round(one.grams)}</span> g left</span
                      >{/if}</span
                  >
                  <span class="whitespace-nowrap text-quiet">{one.by}, {day(one.at, me.zone)}</span>
                </li>
              {:else}<li class="py-1 text-quiet">Nothing has happened to it yet.</li>{/each}
              {#if spool.pricePerKgMinor > 0}<li class="py-1 text-quiet">
                  A kilogram cost {money(spool.pricePerKgMinor, me.currency)}.
                </li>{/if}
            </ul>
          </div>
        {/if}
      </li>
    {:else}
      <li class="py-3 text-quiet">
        {spools.isPending
          ? 'Fetching the spools…'
          : 'No spool is known. Make the first one known: its weight says what is left, and Find knows whether it was damp.'}
      </li>
    {/each}
  </ul>
</main>
<Dialog bind:open={adding} title="New spool">
  <form
    class="grid gap-4"
    onsubmit={(submitted) => {
      submitted.preventDefault();
      void add();
    }}
  >
    <Press
      label="Material"
      bind:value={material}
      choices={(spools.data?.materials ?? []).map((code) => ({ code, name: code }))}
      error={work.error('material')}
    />
    <div class="grid grid-cols-2 gap-4">
      <Field label="Colour" bind:value={colour} maxlength={40} />
      <Field label="Lot" bind:value={lot} mono maxlength={40} />
      <Field label="Filament when new" bind:value={net} numeric unit="g" error={work.error('netG')} />
      <Field
        label="Empty spool"
        bind:value={empty}
        numeric
        unit="g"
        hint="weigh one, or see its rim"
        error={work.error('emptyG')}
      />
      <Field
        label="A kilogram cost"
        bind:value={price}
        numeric
        unit={me.currency}
        error={work.error('pricePerKgMinor')}
      />
      <Field
        label="Made on"
        bind:value={madeOn}
        type="date"
        hint="if it says so"
        error={work.error('madeOn')}
      />
    </div>
    {#if work.refusal && work.refusal.errors.length === 0}<Problem message={work.refusal.message} />{/if}
    <div><Button kind="main" type="submit" busy={work.busy}>Make it known</Button></div>
  </form>
</Dialog>
