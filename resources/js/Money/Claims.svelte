<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { claimsQuery } from '@/api/queries';
  import { wrote } from '@/api/writes';
  import type { Claims } from '@/api/types';
  import { route } from '@/router';
  import Button from '@/ui/Button.svelte';
  import LedgerPage from './LedgerPage.svelte';
  import NewClaim from './NewClaim.svelte';
  import OneClaim from './OneClaim.svelte';

  const client = useQueryClient();
  const claims = createQuery(() => claimsQuery());
  const asked = $derived((route.search as Record<string, string | undefined>)['tag']);
  let adding = $state(false);
  $effect(() => {
    if (asked) adding = true;
  });
  const keep = (all: Claims): void => {
    wrote(client, 'claim', ['claims'], all);
    adding = false;
  };
</script>

<LedgerPage title="Claims" query={claims} waiting="Looking what is claimed…">
  {#snippet heading()}<h1>Claims</h1>
    {#if !adding}<Button kind="main" onclick={() => (adding = true)}>Claim something…</Button>{/if}
  {/snippet}
  {#snippet children(data)}
    {#if adding}<NewClaim {keep} cancel={() => (adding = false)} tag={asked ?? ''} />{/if}
    {#each data.open as claim (claim.id)}
      <OneClaim {claim} {keep} />
    {:else}
      <p class="mt-3 text-quiet">
        Nothing is claimed of anybody. A claim stands here with what was said, its next day, and whether
        waiting for it still pays.
      </p>
    {/each}
    {#if data.closed.length > 0}
      <h2 class="mt-6">Closed</h2>
      {#each data.closed as claim (claim.id)}<OneClaim {claim} {keep} />{/each}
    {/if}
  {/snippet}
</LedgerPage>
