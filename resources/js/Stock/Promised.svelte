<script lang="ts">
  import { api, told } from '@/api/client';
  import type { PartPage } from '@/api/types';
  import { p } from '@/router';
  import { here } from '@/api/session.svelte';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { whole } from '@/ui/figure';
  import Problem from '@/ui/Problem.svelte';
  import Tag from '@/ui/Tag.svelte';
  import { Work } from '@/ui/work.svelte';

  /** What is promised to whom, and promising one by hand. */
  let { page, keep }: { page: PartPage; keep: (page: PartPage) => void } = $props();

  const me = here();
  const work = new Work();
  let asking = $state(false);
  let tag = $state('');
  let quantity = $state('1');

  const promise = (to: string, count: string) =>
    work.do(async () => {
      keep(
        await told(
          api.POST('/parts/{number}/promises', {
            params: { path: { number: page.part.number } },
            body: { tag: to, quantity: whole('quantity', count) },
          }),
        ),
      );
      asking = false;
      tag = '';
    });
</script>

<h2 class="rule-below mt-6 pb-1">Promised</h2>
<ul>
  {#each page.promised as one (one.job)}
    <li class="rule-below flex flex-wrap items-center justify-between gap-x-2 py-1.5">
      <span
        ><span class="fig">{one.quantity}</span> to
        <a href={p('/jobs/:id', { params: { id: String(one.job) } })}><Tag tag={one.tag} /></a>
        <span class="text-sm text-quiet">by {one.by}</span></span
      >
      {#if me.person.meetsOwners}<Button kind="quiet" busy={work.busy} onclick={() => promise(one.tag, '0')}
          >Release</Button
        >{/if}
    </li>
  {:else}
    <li class="py-1.5 text-quiet">To no job.</li>
  {/each}
</ul>
{#if me.person.meetsOwners}
  {#if asking}
    <Form class="mt-2 flex flex-wrap items-end gap-2" onsend={() => promise(tag, quantity)}>
      <div class="w-20">
        <Field label="How many" bind:value={quantity} numeric error={work.error('quantity')} />
      </div>
      <div class="w-36">
        <Field label="To machine" bind:value={tag} mono focus maxlength={20} error={work.error('tag')} />
      </div>
      <Button type="submit" busy={work.busy}>Promise</Button>
    </Form>
  {:else}<Button kind="quiet" onclick={() => (asking = true)}>Promise some to a job…</Button>{/if}
  {#if work.refusal && !work.error('tag') && !work.error('quantity')}<Problem
      message={work.refusal.message}
    />{/if}
{/if}
