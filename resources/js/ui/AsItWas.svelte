<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { here } from '@/api/session.svelte';
  import { asItWas, type Old } from './asItWas';
  import { clock } from './format';
  import { now } from './now.svelte';

  const client = useQueryClient();
  const me = here();
  let before: Old | null = null;
  let shown = $state<Old | null>(null);

  $effect(() => {
    const old = asItWas(client.getQueryCache().getAll(), now.ms);
    // what is here within the second is not worth a word
    shown = before && old;
    before = old;
  });
</script>

<div role="status" class="pointer-events-none fixed inset-x-0 bottom-3 z-30 flex justify-center print:hidden">
  {#if shown}
    <p class="rounded-sm border border-edge bg-sheet px-3 py-1.5 text-sm font-semibold shadow">
      Last updated at {clock(new Date(shown.at).toISOString(), me.zone)}.
      <span class="font-normal text-quiet">
        {shown.silent ? 'The latest could not be loaded: this may have changed.' : 'Updating…'}
      </span>
    </p>
  {/if}
</div>
