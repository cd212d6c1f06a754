<script lang="ts">
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { p } from '@/router';
  import Field from '@/ui/Field.svelte';
  import { rowKeys } from '@/ui/rows';

  let text = $state('');
  const owners = createQuery(() => ({
    queryKey: ['owners', text.trim()],
    queryFn: () => told(api.GET('/owners', { params: { query: text.trim() ? { text: text.trim() } : {} } })),
    placeholderData: keepPreviousData,
  }));
  const shown = $derived(owners.data?.owners ?? []);
  $effect(() => rowKeys(() => shown.map((owner) => String(owner.id))));
</script>

<svelte:head><title>Owners · Odd Bench</title></svelte:head>

<main class="px-4 py-4 md:px-5">
  <p class="text-sm"><a class="text-quiet underline" href={p('/machines')}>Machines</a></p>
  <div class="flex flex-wrap items-end gap-4">
    <h1 class="mr-4 self-center">
      Owners <span class="ml-1 text-sm font-normal text-quiet"
        ><span class="fig">{owners.data?.all ?? ''}</span></span
      >
    </h1>
    <div class="w-72"><Field label="Name or contact" bind:value={text} /></div>
  </div>
  {#if owners.isError}<p role="alert" class="mt-4 text-out">✕ {owners.error.message}</p>{/if}
  <ul class="mt-3 border-t border-line">
    {#each shown as owner (owner.id)}
      <li class="rule-below">
        <a
          href={p('/owners/:id', { params: { id: String(owner.id) } })}
          data-line={String(owner.id)}
          class="grid min-h-11 grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 py-1 hover:bg-wash focus-visible:bg-wash md:grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)_8rem]"
        >
          <span class="truncate font-semibold">{owner.name}</span>
          <span class="truncate text-quiet max-md:hidden"
            >{owner.company ? 'company, ' : ''}{owner.contact ?? ''}</span
          >
          <span class="text-right"
            ><span class="fig">{owner.machines}</span>
            <span class="text-sm text-quiet">{owner.machines === 1 ? 'machine' : 'machines'}</span></span
          >
        </a>
      </li>
    {/each}
  </ul>
  {#if owners.data && shown.length === 0}
    <p class="mt-4 text-quiet">
      {text
        ? 'Nobody is like that. Take a word away.'
        : 'Owners stand here once a machine of theirs is booked in, added or brought in by table.'}
    </p>
  {:else if owners.data && owners.data.all > shown.length}
    <p class="mt-3 text-sm text-quiet">The first {shown.length}: type part of a name for the others.</p>
  {/if}
</main>
