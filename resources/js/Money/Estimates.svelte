<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { estimatesQuery } from '@/api/queries';
  import { here } from '@/api/session.svelte';
  import { p } from '@/router';
  import { day, money, since } from '@/ui/format';
  import { rowKeys } from '@/ui/rows';
  import Tag from '@/ui/Tag.svelte';
  import LedgerPage from './LedgerPage.svelte';

  const me = here();
  const list = createQuery(() => estimatesQuery());
  const rows = $derived(list.data?.estimates ?? []);
  $effect(() => rowKeys(() => rows.map((row) => String(row.job))));
</script>

<LedgerPage title="Estimates" query={list} waiting="Looking for estimates…">
  {#snippet heading()}<h1>
      Estimates {#if list.data}<span class="ml-1 text-sm font-normal text-quiet"
          ><span class="fig">{list.data.waiting}</span>
          {list.data.waiting === 1 ? 'waits' : 'wait'} for an answer</span
        >{/if}
    </h1>{/snippet}
  {#if rows.length === 0}<p class="mt-3 text-quiet">
      No estimate was sent yet. A job’s own Money page has one as soon as Find knows what it does.
    </p>{:else}
    <ul class="mt-3 border-t border-line">
      {#each rows as row (row.job)}
        <li class="rule-below">
          <a
            href={p('/jobs/:id/money', { params: { id: String(row.job) } })}
            data-line={String(row.job)}
            class="grid min-h-11 items-center gap-x-4 py-1.5 hover:bg-wash focus-visible:bg-wash md:grid-cols-[8rem_minmax(0,1fr)_minmax(0,1.4fr)_11rem]"
          >
            <span><Tag tag={row.tag} /></span>
            <span class="min-w-0 truncate"
              >{row.familyName} <span class="text-quiet">{row.owner ?? ''}</span></span
            >
            <span class="min-w-0 text-sm">
              {#if row.answer}
                <span class={row.answer.answer === 'do-not-mend' ? 'text-out' : 'text-well'}
                  >{row.answer.answer === 'do-not-mend' ? '✕' : '✓'}
                  {row.answer.words}{row.answer.upToMinor === null
                    ? ''
                    : ` ${money(row.answer.upToMinor, me.currency)}`}</span
                >
                {#if row.answer.late}<span class="text-waiting">▢ after the work</span>{/if}
              {:else if row.finished}<span class="text-quiet">never answered</span>
              {:else}<span class="font-semibold text-waiting">▢ waits {since(row.at, me.zone)}</span>{/if}
              {#if row.moved}<span class="block text-quiet">more was found since: look at it again</span>{/if}
            </span>
            <span class="text-right text-sm"
              ><span class="fig block">{money(row.expectedMinor, me.currency)}</span><span class="text-quiet"
                >no. {row.number}, {day(row.at, me.zone)}</span
              ></span
            >
          </a>
        </li>
      {/each}
    </ul>
  {/if}
</LedgerPage>
