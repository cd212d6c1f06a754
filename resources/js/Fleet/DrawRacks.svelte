<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import type { Rack } from '@/api/types';
  import { wrote } from '@/api/writes';
  import Button from '@/ui/Button.svelte';
  import Dialog from '@/ui/Dialog.svelte';
  import Field from '@/ui/Field.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** Racks and how large they are; what stands in them is moved on the drawing itself. */
  let { open = $bindable(false), racks }: { open: boolean; racks: readonly Rack[] } = $props();

  const client = useQueryClient();
  const work = new Work();
  let editing = $state<Rack | null>(null);
  let name = $state('');
  let shelves = $state('1');
  let places = $state('9');
  /** the rack that is asked about before it goes */
  let sure = $state<number | null>(null);

  function edit(rack: Rack | null): void {
    editing = rack;
    name = rack?.name ?? '';
    shelves = String(rack?.shelves ?? 1);
    places = String(rack?.places ?? 9);
    work.refusal = null;
    sure = null;
  }

  const keep = () =>
    work.do(async () => {
      const body = { name: name.trim(), shelves: Number(shelves), places: Number(places) };
      if (editing === null) await told(api.POST('/fleet/racks', { body }));
      else
        await told(
          api.PUT('/fleet/racks/{rack}', {
            params: { path: { rack: editing.id } },
            body: { ...body, version: editing.version },
          }),
        );
      edit(null);
      wrote(client, 'racks');
    });

  const takeDown = (rack: Rack) =>
    work.do(async () => {
      await told(api.DELETE('/fleet/racks/{rack}', { params: { path: { rack: rack.id } } }));
      edit(null);
      wrote(client, 'racks');
    });
</script>

<Dialog bind:open title="Racks, as they stand in the room">
  {#if racks.length > 0}
    <ul class="mb-3 border-t border-line">
      {#each racks as rack (rack.id)}
        <li class="rule-below flex min-h-11 flex-wrap items-center justify-between gap-x-3">
          <span
            ><strong>{rack.name}</strong>
            <span class="text-sm text-quiet"
              ><span class="fig">{rack.shelves}</span>
              {rack.shelves === 1 ? 'shelf' : 'shelves'} of <span class="fig">{rack.places}</span></span
            ></span
          >
          <span>
            <Button kind="quiet" label="Change {rack.name}" onclick={() => edit(rack)}>Change</Button>
            {#if sure === rack.id}
              <Button kind="quiet" busy={work.busy} onclick={() => takeDown(rack)}
                >Yes: what stands there stands nowhere then</Button
              >
            {:else}
              <Button kind="quiet" label="Take {rack.name} down" onclick={() => (sure = rack.id)}
                >Take down</Button
              >
            {/if}
          </span>
        </li>
      {/each}
    </ul>
  {/if}
  <form
    onsubmit={(event) => {
      event.preventDefault();
      void keep();
    }}
  >
    <h3>{editing === null ? 'Another rack' : `Change ${editing.name}`}</h3>
    <div class="mt-1 grid grid-cols-[minmax(0,1fr)_6rem_6rem] gap-3">
      <Field label="Name" bind:value={name} maxlength={60} error={work.error('name')} />
      <Field label="Shelves" bind:value={shelves} inputmode="numeric" error={work.error('shelves')} />
      <Field label="Places each" bind:value={places} inputmode="numeric" error={work.error('places')} />
    </div>
    <Problem message={work.leftover('name', 'shelves', 'places')} />
    <div class="mt-3 flex gap-3">
      <Button type="submit" kind="main" busy={work.busy}>{editing === null ? 'Draw it' : 'Keep'}</Button>
      {#if editing !== null}<Button kind="quiet" onclick={() => edit(null)}>Never mind</Button>{/if}
    </div>
  </form>
</Dialog>
