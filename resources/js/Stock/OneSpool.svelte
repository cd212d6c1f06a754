<script lang="ts">
  import { api, told } from '@/api/client';
  import type { Spool, Spools } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { figure } from '@/ui/figure';
  import { day, money } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** What is done with a spool, and what was. */
  let { spool, keep }: { spool: Spool; keep: (all: Spools) => void } = $props();

  const me = here();
  const work = new Work();
  let grams = $state('');
  let dryHours = $state('');
  let celsius = $state('');

  type Kind = 'opened' | 'weighed' | 'dried' | 'used' | 'ended';
  const event = (kind: Kind) =>
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
  const words = {
    opened: 'opened',
    weighed: 'weighed',
    dried: 'dried',
    used: 'used',
    job: 'named in a job',
    ended: 'done with',
  } as const;
</script>

<div class="mt-2 grid gap-6 md:grid-cols-2">
  {#if me.person.meetsOwners && !spool.ended}
    <div class="grid content-start gap-3">
      {#if !spool.openedAt}<div>
          <Button busy={work.busy} onclick={() => event('opened')}>Open it now</Button>
        </div>{/if}
      <Form class="flex flex-wrap items-end gap-2" onsend={() => event('weighed')}>
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
      </Form>
      <Form class="flex flex-wrap items-end gap-2" onsend={() => event('dried')}>
        <div class="w-24">
          <Field label="Dried for" bind:value={dryHours} numeric unit="h" error={work.error('hours')} />
        </div>
        <div class="w-28">
          <Field label="at" bind:value={celsius} numeric unit="°C" error={work.error('celsius')} />
        </div>
        <Button type="submit" busy={work.busy}>Dried</Button>
      </Form>
      {#if spool.drying}<p class="max-w-prose text-sm text-quiet">{spool.drying}</p>{/if}
      <div>
        <Button kind="quiet" busy={work.busy} onclick={() => event('ended')}>It is done with</Button>
      </div>
      {#if work.refusal && !['grams', 'hours', 'celsius'].some((field) => work.error(field))}<Problem
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
