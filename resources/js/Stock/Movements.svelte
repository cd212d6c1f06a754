<script lang="ts">
  import { api, told } from '@/api/client';
  import type { Movement, PartPage } from '@/api/types';
  import { p } from '@/router';
  import { here } from '@/api/session.svelte';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { clock, day, hours, money } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import Tag from '@/ui/Tag.svelte';
  import { Work } from '@/ui/work.svelte';

  /** What moved, the newest first; a receipt can be called a bad batch. */
  let { page, keep }: { page: PartPage; keep: (page: PartPage) => void } = $props();

  const me = here();
  const work = new Work();
  let flagging = $state<number | null>(null);
  let because = $state('');
  const words = {
    received: 'received',
    used: 'used',
    returned: 'put back',
    counted: 'counted',
    scrapped: 'scrapped',
    salvaged: 'out of',
    made: 'made here',
    moved: 'moved',
  } as const;
  const batchable = (one: Movement): boolean =>
    one.quantity > 0 && !one.bad && ['received', 'made', 'salvaged'].includes(one.kind);

  const flag = (movement: number) =>
    work.do(async () => {
      keep(
        await told(
          api.PUT('/parts/{number}/movements/{movement}/bad-batch', {
            params: { path: { number: page.part.number, movement } },
            body: { because },
          }),
        ),
      );
      flagging = null;
      because = '';
    });
</script>

<h2 class="rule-below mt-6 pb-1.5">Movements</h2>
<table class="w-full">
  <tbody>
    {#each page.movements as one (one.id)}
      <tr class="rule-below align-baseline">
        <td class="w-14 py-2 text-right"
          ><span class={['fig font-semibold', one.quantity > 0 ? 'text-well' : '']}
            >{one.quantity > 0 ? '+' : '−'}{Math.abs(one.quantity)}</span
          ></td
        >
        <td class="min-w-0 pl-4"
          >{one.kind === 'salvaged' && one.quantity < 0 ? 'back into' : words[one.kind]}{one.undone
            ? ', put back later'
            : ''}
          {#if one.from}<a class="ml-1" href={p('/machines/:tag', { params: { tag: one.from } })}
              ><Tag tag={one.from} /></a
            >{#if one.hours !== null}<span class="ml-1 text-sm text-quiet"
                >after <span class="fig">{hours(one.hours)}</span> h</span
              >{/if}{:else if one.machine && one.job !== null}<a
              href={p('/jobs/:id', { params: { id: String(one.job) } })}
              class="ml-1"><Tag tag={one.machine} /></a
            >{/if}
          <span class="text-sm text-quiet">bin <span class="fig">{one.bin}</span></span>
          {#if one.batch}<span class="text-sm text-quiet">batch <span class="fig">{one.batch}</span></span
            >{/if}
          {#if one.note}<span class="text-sm break-words text-quiet">{one.note}</span>{/if}
          {#if one.bad}<span class="text-sm text-out">✕ bad batch</span>
          {:else if batchable(one) && me.person.meetsOwners && flagging !== one.id}<Button
              kind="quiet"
              label="Bad batch: what was received {day(one.at, me.zone)}"
              onclick={() => (flagging = one.id)}>Bad batch…</Button
            >{/if}
          {#if flagging === one.id}
            <Form class="my-1 flex flex-wrap items-end gap-2" onsend={() => flag(one.id)}>
              <div class="w-72">
                <Field
                  label="What is wrong with them"
                  bind:value={because}
                  focus
                  maxlength={300}
                  error={work.error('because')}
                />
              </div>
              <Button type="submit" busy={work.busy}>Call it a bad batch</Button>
              <Button kind="quiet" onclick={() => (flagging = null)}>Not now</Button>
              {#if work.refusal && !work.error('because')}<Problem message={work.refusal.message} />{/if}
            </Form>
          {/if}</td
        >
        <td class="fig text-right text-quiet max-md:hidden">{money(one.valueMinor, me.currency)}</td>
        <td class="pl-4 text-right text-sm text-quiet"
          >{one.by}, {day(one.at, me.zone)} {clock(one.at, me.zone)}</td
        >
      </tr>
    {:else}
      <tr><td class="py-2 text-quiet">Nothing has moved yet. Receive the first ones.</td></tr>
    {/each}
  </tbody>
</table>
