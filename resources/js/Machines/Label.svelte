<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { machineQuery } from '@/api/queries';
  import { api, told } from '@/api/client';
  import { here } from '@/api/session.svelte';
  import { wrote } from '@/api/writes';
  import { p, route } from '@/router';
  import { Work } from '@/ui/work.svelte';
  import { labelAddress } from './label';
  import MachineLabel from './MachineLabel.svelte';
  import Button from '@/ui/Button.svelte';

  const me = here();
  const tag = $derived((route.params as Record<string, string>)['tag'] ?? '');
  const machine = createQuery(() => machineQuery(tag));
  const client = useQueryClient();
  const work = new Work();
  const address = $derived(machine.data ? labelAddress(machine.data) : '');

  const renew = () =>
    work.do(async () => {
      await told(api.POST('/machines/{tag}/page-key', { params: { path: { tag } } }));
      wrote(client, 'machine');
    });
</script>

<svelte:head><title>Label {tag} · Odd Bench</title></svelte:head>

{#if machine.data}
  {@const m = machine.data.machine}
  <main class="p-5 print:p-0">
    <div class="mb-5 flex flex-wrap items-center gap-4 print:hidden">
      <h1>Label for {m.tag}</h1>
      <Button kind="main" onclick={() => window.print()}>Print</Button>
      <a
        class="font-semibold text-action underline"
        href={m.openJob === null
          ? p('/machines/:tag', { params: { tag: m.tag } })
          : p('/jobs/:id', { params: { id: String(m.openJob) } })}
      >
        {m.openJob === null ? 'To the passport' : 'On to the job'}
      </a>
    </div>
    <MachineLabel machine={m} {address} />
    <p class="mt-3 text-sm text-quiet print:hidden">
      62 × 29 mm. {#if machine.data.ownersPage}Its code opens <span class="font-mono break-all"
          >{address}</span
        >, the page its owner may see; scanned{:else}Its code holds the tag; scanned{/if} into the field above it
      finds the machine. Or read the tag aloud: none of its letters and digits sounds like another.
    </p>
    {#if me.person.meetsOwners}
      <p class="mt-3 flex flex-wrap items-center gap-3 text-sm print:hidden">
        <Button kind="quiet" busy={work.busy} onclick={renew}>Renew its code</Button>
        <span class="text-quiet">when a label was lost or copied: the one before opens nothing any more</span>
      </p>
      {#if work.refusal}<p role="alert" class="text-out">✕ {work.refusal.message}</p>{/if}
    {/if}
  </main>
{:else if machine.isError}
  <main class="p-8">
    <h1>Not found</h1>
    <p class="mt-2">{machine.error.message}</p>
  </main>
{/if}
