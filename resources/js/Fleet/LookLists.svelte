<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { lookListsQuery } from '@/api/queries';
  import { p } from '@/router';

  /** The look-lists that are open, on one line each. */
  const lists = createQuery(() => lookListsQuery());
  const open = $derived(lists.data?.lists.filter((list) => !list.closed) ?? []);
</script>

{#if open.length > 0}
  <ul class="mt-3 grid gap-1.5">
    {#each open as list (list.id)}
      <li class="flex flex-wrap items-baseline gap-x-3 bg-waiting-wash px-3 py-2 text-sm text-waiting">
        <span
          >▢ Look-list open: <a
            class="font-semibold underline"
            href={p('/look-lists/:id', { params: { id: String(list.id) } })}>{list.name}</a
          ></span
        >
        <span
          ><span class="fig">{list.looked}</span> of <span class="fig">{list.all}</span> looked at,
          <span class="fig">{list.affected}</span> affected</span
        >
      </li>
    {/each}
  </ul>
{/if}
