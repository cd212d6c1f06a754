<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import Check from '@/ui/Check.svelte';
  import Field from '@/ui/Field.svelte';
  import type { Work } from '@/ui/work.svelte';

  /** Whose machine it is: one that is known, offered while the name is typed, or a new one. */
  interface Props {
    id: string;
    name: string;
    contact: string;
    another: boolean;
    work: Work;
    focus?: boolean;
  }
  let {
    id = $bindable(),
    name = $bindable(),
    contact = $bindable(),
    another = $bindable(),
    work,
    focus = false,
  }: Props = $props();

  let asked = $state('');
  let timer: ReturnType<typeof setTimeout> | undefined;
  $effect(() => {
    const text = name.trim();
    clearTimeout(timer);
    timer = setTimeout(() => (asked = text), 150);
  });
  const found = createQuery(() => ({
    queryKey: ['owners', asked],
    queryFn: () => told(api.GET('/owners', { params: { query: { text: asked } } })),
    enabled: asked.length > 1 && id === '',
  }));
  const known = $derived(id === '' && asked.length > 1 ? (found.data?.owners ?? []).slice(0, 5) : []);
</script>

{#if id !== ''}
  <div>
    <p class="text-sm font-semibold">Owner</p>
    <p class="mt-1 flex min-h-11 flex-wrap items-center gap-x-4">
      <strong>{name}</strong>
      {#if contact}<span class="text-quiet">{contact}</span>{/if}
      <button
        type="button"
        class="min-h-9 text-sm text-action underline"
        onclick={() => {
          id = '';
          contact = '';
        }}>Another owner</button
      >
    </p>
    {#if work.error('ownerId')}<p class="text-sm font-semibold text-out">✕ {work.error('ownerId')}</p>{/if}
  </div>
{:else}
  <div>
    <Field label="Owner’s name" bind:value={name} maxlength={160} {focus} error={work.error('ownerName')} />
    {#if known.length > 0}
      <ul class="border border-t-0 border-edge bg-white" aria-label="Owners of this name">
        {#each known as owner (owner.id)}
          <li>
            <button
              type="button"
              class="flex min-h-11 w-full flex-wrap items-center gap-x-3 px-3 text-left hover:bg-wash"
              onclick={() => {
                id = String(owner.id);
                name = owner.name;
                contact = owner.contact ?? '';
                another = false;
              }}
              ><strong>{owner.name}</strong>
              <span class="text-sm text-quiet"
                >{owner.contact ?? 'no contact'}, {owner.machines}
                {owner.machines === 1 ? 'machine' : 'machines'}</span
              ></button
            >
          </li>
        {/each}
      </ul>
    {/if}
    {#if work.error('ownerName') || another}<Check bind:checked={another}
        >Another owner of the same name</Check
      >{/if}
  </div>
  <Field label="How to reach them" bind:value={contact} maxlength={200} />
{/if}
