<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import PromiseDays from './PromiseDays.svelte';

  /** Which day holds for a machine that is not booked in yet. */
  let {
    family,
    findings,
    taken,
    onpick,
  }: { family: string; findings: readonly string[]; taken: string; onpick: (day: string) => unknown } =
    $props();
  const offer = createQuery(() => ({
    queryKey: ['promise-offer', family, [...findings].sort().join(' ')],
    queryFn: () => told(api.POST('/plan/promise-offer', { body: { family, findings: [...findings] } })),
    enabled: family !== '',
    staleTime: 60_000,
  }));
</script>

{#if offer.data}<PromiseDays offer={offer.data} {taken} {onpick} />{/if}
