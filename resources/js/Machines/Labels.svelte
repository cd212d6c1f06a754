<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { p } from '@/router';
  import Button from '@/ui/Button.svelte';
  import { labelAddress } from './label';
  import MachineLabel from './MachineLabel.svelte';

  /** Labels of many machines on sheets: those the list of machines showed. */
  const query = Object.fromEntries(
    [...new URLSearchParams(location.search)].filter(([key]) => ['text', 'family', 'place'].includes(key)),
  );
  const MOST = 300;
  const labels = createQuery(() => ({
    queryKey: ['labels', query],
    queryFn: () => told(api.GET('/machines-labels', { params: { query } })),
  }));
</script>

<svelte:head><title>Labels · Odd Bench</title></svelte:head>

<main class="p-5 print:p-0">
  <p class="text-sm print:hidden"><a class="text-quiet underline" href={p('/machines')}>Machines</a></p>
  <div class="mb-4 flex flex-wrap items-center gap-4 print:hidden">
    <h1>Labels</h1>
    {#if labels.data}
      <span class="text-quiet"
        ><span class="fig">{labels.data.labels.length}</span> of
        <span class="fig">{labels.data.all}</span></span
      >
      <Button kind="main" onclick={() => window.print()}>Print</Button>
      <span class="text-sm text-quiet"
        >62 × 29 mm each, three across on a sheet{labels.data.all > MOST
          ? `; the first ${MOST}: choose fewer in the list for the rest`
          : ''}</span
      >
    {/if}
  </div>
  {#if labels.isError}<p role="alert" class="text-out">✕ {labels.error.message}</p>{/if}
  {#if labels.data?.labels.length === 0}<p class="text-quiet">No machine is like that.</p>{/if}
  <div class="flex flex-wrap gap-[2mm]">
    {#each labels.data?.labels ?? [] as label (label.machine.tag)}
      <MachineLabel machine={label.machine} address={labelAddress(label)} />
    {/each}
  </div>
</main>
