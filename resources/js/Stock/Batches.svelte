<script lang="ts">
  import { api, told } from '@/api/client';
  import type { PartPage } from '@/api/types';
  import { p } from '@/router';
  import { here } from '@/api/session.svelte';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { day } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import Tag from '@/ui/Tag.svelte';
  import { Work } from '@/ui/work.svelte';

  /** Receipts whose parts are not to be trusted, and every machine they went into or may have. */
  let { page, keep }: { page: PartPage; keep: (page: PartPage) => void } = $props();

  const me = here();
  const work = new Work();
  let lifting = $state<number | null>(null);
  let because = $state('');
  const words = { certain: 'for certain', likely: 'likely, first in first out', possible: 'possibly' };

  const lift = (movement: number) =>
    work.do(async () => {
      keep(
        await told(
          api.DELETE('/parts/{number}/movements/{movement}/bad-batch', {
            params: { path: { number: page.part.number, movement } },
            body: { because },
          }),
        ),
      );
      lifting = null;
      because = '';
    });
</script>

{#each page.batches as batch (batch.id)}
  <section class="mt-4 border-l-4 border-out bg-out-wash px-4 py-3" aria-label="Bad batch">
    <h2 class="text-out">
      ✕ Bad batch{batch.batch ? ` ${batch.batch}` : ''}: {batch.because}
    </h2>
    <p class="text-sm text-quiet">
      {batch.by}, {day(batch.at, me.zone)} · of it, about <span class="fig">{batch.leftLikely}</span> and at
      most
      <span class="fig">{batch.leftMost}</span> still lie in the bin
    </p>
    {#if batch.traced.length > 0}
      <table class="mt-2 w-full">
        <thead class="sr-only"><tr><th>Machine</th><th>Position</th><th>How sure</th><th>When</th></tr></thead
        >
        <tbody>
          {#each batch.traced as one (one.movement)}
            <tr class="border-t border-line align-baseline">
              <td class="py-1.5"
                ><a href={p('/machines/:tag', { params: { tag: one.tag } })}><Tag tag={one.tag} /></a></td
              >
              <td class="pl-3"
                >{one.position ?? 'used in a job'}{#if !one.stillThere}<span class="text-sm text-quiet"
                    >, {one.position ? 'no longer in it' : ''}</span
                  >{/if}</td
              >
              <td class={['pl-3', one.odds === 'possible' ? 'text-quiet' : 'font-semibold']}
                >{words[one.odds]}</td
              >
              <td class="pl-3 text-right text-sm text-quiet">{day(one.at, me.zone)}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    {:else}<p class="mt-1">None has left the bin.</p>{/if}
    {#if me.person.worksAtTheBench && batch.batch && batch.traced.some((one) => one.stillThere)}
      <p class="mt-2">
        <a
          class="font-semibold text-action underline"
          href="{p('/campaign-new')}?{new URLSearchParams({
            part: page.part.number,
            batch: batch.batch,
            title: `${page.part.name}, batch ${batch.batch}`,
          })}">Begin a campaign over them</a
        >
      </p>
    {/if}
    {#if me.person.meetsOwners}
      {#if lifting === batch.movement}
        <Form class="mt-2 flex flex-wrap items-end gap-2" onsend={() => lift(batch.movement)}>
          <div class="w-72">
            <Field
              label="Why they are good after all"
              bind:value={because}
              focus
              maxlength={300}
              error={work.error('because')}
            />
          </div>
          <Button type="submit" busy={work.busy}>Trust them again</Button>
        </Form>
      {:else}<Button kind="quiet" onclick={() => (lifting = batch.movement)}>They are good after all…</Button
        >{/if}
      {#if work.refusal && !work.error('because')}<Problem message={work.refusal.message} />{/if}
    {/if}
  </section>
{/each}
