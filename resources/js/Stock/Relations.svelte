<script lang="ts">
  import { api, told } from '@/api/client';
  import type { OtherPart, PartPage } from '@/api/types';
  import { p } from '@/router';
  import { here } from '@/api/session.svelte';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** What stands in for a part, what follows it, and used ones of it. */
  let { page, keep }: { page: PartPage; keep: (page: PartPage) => void } = $props();

  const me = here();
  const work = new Work();
  let asking = $state<'' | 'substitute' | 'successor'>('');
  let other = $state('');
  let note = $state('');
  const path = $derived({ number: page.part.number });

  const rows = $derived<[string, OtherPart, boolean][]>([
    ...page.substitutes.map((one): [string, OtherPart, boolean] => ['does as well', one, true]),
    ...page.standsInFor.map((one): [string, OtherPart, boolean] => ['this one does for it', one, false]),
    ...(page.successor ? [['is bought instead', page.successor, false] as [string, OtherPart, boolean]] : []),
    ...page.predecessors.map((one): [string, OtherPart, boolean] => ['was bought before', one, false]),
    ...page.used.map((one): [string, OtherPart, boolean] => [`used, ${one.grade}`, one, false]),
    ...(page.usedOf
      ? [['this is a used one of it', page.usedOf, false] as [string, OtherPart, boolean]]
      : []),
  ]);

  const write = (call: () => Promise<PartPage>) =>
    work.do(async () => {
      keep(await call());
      asking = '';
      other = note = '';
    });
  const say = () =>
    write(() =>
      asking === 'substitute'
        ? told(
            api.POST('/parts/{number}/substitutes', {
              params: { path },
              body: { other, note: note || null },
            }),
          )
        : told(api.PUT('/parts/{number}/successor', { params: { path }, body: { other } })),
    );
  const drop = (number: string) =>
    write(() =>
      told(
        api.DELETE('/parts/{number}/substitutes/{other}', {
          params: { path: { number: page.part.number, other: number } },
        }),
      ),
    );
  const noSuccessor = () =>
    write(() => told(api.PUT('/parts/{number}/successor', { params: { path }, body: { other: null } })));
</script>

<h2 class="rule-below mt-6 pb-1.5">Instead of it</h2>
<ul>
  {#each rows as [how, one, mine] (how + one.number)}
    <li class="rule-below flex flex-wrap items-baseline justify-between gap-x-3 py-1.5">
      <span
        ><a
          class="font-semibold hover:underline"
          href={p('/shelf/:number', { params: { number: one.number } })}>{one.name}</a
        >
        <span class="text-quiet"
          >{how}{one.note ? `: ${one.note}` : ''} · bin <span class="fig">{one.bin}</span></span
        ></span
      >
      <span class="flex items-baseline gap-2"
        ><span class={['fig', one.onHand === 0 && 'text-quiet']}>{one.onHand}</span>
        <span class="text-sm text-quiet">left</span>
        {#if mine && me.person.meetsOwners}<Button
            kind="quiet"
            label="{one.name} does not do"
            busy={work.busy}
            onclick={() => drop(one.number)}>Not so</Button
          >{:else if page.successor?.number === one.number && me.person.meetsOwners}<Button
            kind="quiet"
            busy={work.busy}
            onclick={noSuccessor}>Not so</Button
          >{/if}</span
      >
    </li>
  {:else}
    <li class="py-1.5 text-quiet">Nothing is said to do as well.</li>
  {/each}
</ul>
{#if me.person.meetsOwners && page.part.grade === 'new'}
  {#if asking}
    <Form class="mt-2 flex flex-wrap items-end gap-2" onsend={() => say()}>
      <div class="w-40">
        <Field
          label="Number of that part"
          bind:value={other}
          mono
          focus
          maxlength={30}
          error={work.error('other') ?? work.error('part')}
        />
      </div>
      {#if asking === 'substitute'}<div class="w-56">
          <Field label="With what care" bind:value={note} maxlength={200} />
        </div>{/if}
      <Button type="submit" busy={work.busy}
        >{asking === 'substitute' ? 'It does as well' : 'It is bought instead'}</Button
      >
      <Button kind="quiet" onclick={() => (asking = '')}>Not now</Button>
    </Form>
  {:else}
    <Button kind="quiet" onclick={() => (asking = 'substitute')}>Another does as well…</Button>
    {#if !page.successor}<Button kind="quiet" onclick={() => (asking = 'successor')}
        >Another is bought from now on…</Button
      >{/if}
  {/if}
  {#if work.refusal && !work.error('other') && !work.error('part')}<Problem
      message={work.refusal.message}
    />{/if}
{/if}
