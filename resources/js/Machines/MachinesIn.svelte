<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, asItIs, told } from '@/api/client';
  import { here } from '@/api/session.svelte';
  import type { MachineTable } from '@/api/types';
  import { wrote } from '@/api/writes';
  import { p } from '@/router';
  import Button from '@/ui/Button.svelte';
  import FileButton from '@/ui/FileButton.svelte';
  import Problem from '@/ui/Problem.svelte';
  import Tag from '@/ui/Tag.svelte';
  import { Work } from '@/ui/work.svelte';

  /** The machines one has, by the table: what becomes of each row first, then those that are new. */
  const me = here();
  const client = useQueryClient();
  const work = new Work();
  let file = $state<File | null>(null);
  let shown = $state<MachineTable | null>(null);

  const words = { new: 'new', known: 'known here', twice: 'twice in the table', wrong: 'wrong' } as const;
  const marks = { new: '✓', known: '=', twice: '▢', wrong: '✕' } as const;
  const colours = {
    new: 'text-well',
    known: 'text-quiet',
    twice: 'text-waiting',
    wrong: 'text-out',
  } as const;
  type Fate = keyof typeof words;
  const fates = Object.keys(words) as Fate[];
  const count = (fate: Fate): number => shown?.counts[fate] ?? 0;
  const all = $derived(fates.reduce((sum, fate) => sum + count(fate), 0));

  const send = (sent: File, apply: boolean) =>
    work.do(async () => {
      const params = { query: apply ? { apply: '1' } : {} };
      shown = await told(api.POST('/machines/table', { params, ...asItIs(sent) }));
      file = sent;
      if (apply) wrote(client, 'machine');
    });
</script>

<svelte:head><title>Bring machines in · Odd Bench</title></svelte:head>

<main class="px-4 py-4 md:px-5">
  <p class="text-sm"><a class="text-quiet underline" href={p('/machines')}>Machines</a></p>
  <h1>Bring machines in</h1>
  {#if shown && file}
    {@const sent = file}
    <p class="mt-3 flex flex-wrap items-baseline gap-x-5 gap-y-1">
      <strong class="break-all">{file.name}</strong>
      {#each fates as fate (fate)}
        {#if count(fate) > 0}<span class={colours[fate]}
            ><span aria-hidden="true">{marks[fate]}</span> <span class="fig">{count(fate)}</span>
            {words[fate]}</span
          >{/if}
      {/each}
    </p>
    {#if shown.applied}
      <p class="mt-2 font-semibold text-well" role="status">
        ✓ {count('new')} of {all} machines are known now, each under a tag of its own. Print their labels from their
        pages.
      </p>
    {:else if count('new') === 0}
      <p class="mt-2">There is nothing new in this table.</p>
    {:else}
      <p class="mt-2">Nothing has changed yet.</p>
    {/if}
    <p class="mt-2 flex flex-wrap gap-3">
      {#if !shown.applied && count('new') > 0 && me.person.meetsOwners}<Button
          kind="main"
          busy={work.busy}
          onclick={() => send(sent, true)}>Bring the {count('new')} in</Button
        >{/if}
      <Button
        kind="quiet"
        onclick={() => {
          shown = file = null;
        }}>Another table</Button
      >
    </p>
    {#if work.refusal}<div class="mt-2"><Problem message={work.refusal.message} /></div>{/if}
    <table class="mt-3 w-full border-t border-line">
      <thead>
        <tr class="text-left text-sm text-quiet">
          <th class="py-1 font-normal">Line</th>
          <th class="font-normal">What</th>
          <th class="font-normal">Becomes of it</th>
        </tr>
      </thead>
      <tbody>
        {#each shown.rows as row (row.line)}
          <tr class="rule-below align-baseline">
            <td class="fig w-14 py-1 text-quiet">{row.line}</td>
            <td class="min-w-0 py-1 pr-4 break-words">{row.what}</td>
            <td class="py-1 {colours[row.fate]}">
              <span aria-hidden="true">{marks[row.fate]}</span>
              {words[row.fate]}{row.message ? `: ${row.message}` : ''}
              {#if row.tag}<a class="ml-2" href={p('/machines/:tag', { params: { tag: row.tag } })}
                  ><Tag tag={row.tag} /></a
                >{/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  {:else}
    <p class="mt-2 max-w-prose">
      A table as CSV, with the names of the columns in its first row. Only <strong class="fig">family</strong> must
      be there. What becomes of each row is shown first.
    </p>
    <dl class="mt-3 grid max-w-prose grid-cols-[auto_minmax(0,1fr)] gap-x-5 gap-y-1 text-sm">
      {#each [['family', `by name: ${me.words.families
            .map((one) => one.name)
            .join(', ')}`], ['serial', 'as it stands on the machine; one of a family is there once'], ['held_as', 'farm, owner or resale; farm unless said'], ['owner', 'whose it is, where it is an owner’s'], ['contact', 'how the owner is reached'], ['hours', 'what its counter shows']] as [name, what] (name)}
        <dt class="fig">{name}</dt>
        <dd class="text-quiet">{what}</dd>
      {/each}
    </dl>
    <div class="mt-4 flex flex-wrap items-center gap-4">
      <FileButton accept=".csv,.txt,.tsv,text/csv" busy={work.busy} onfile={(chosen) => send(chosen, false)}
        >Choose a table</FileButton
      >
      <a class="text-sm font-semibold text-action underline" href="/files/machines.csv" download
        >The machines here, as such a table</a
      >
    </div>
    {#if work.refusal}<div class="mt-3"><Problem message={work.refusal.message} /></div>{/if}
  {/if}
</main>
