<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { jobMoneyQuery } from '@/api/queries';
  import type { Job } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import { p } from '@/router';
  import { money as sum } from '@/ui/format';

  /** A job’s money in one line, for whom it is shown. */
  let { job }: { job: Job } = $props();

  const me = here();
  const money = createQuery(() => ({ ...jobMoneyQuery(job.id), enabled: me.person.seesMoney }));
  const it = $derived(money.data);
</script>

{#if me.person.seesMoney}
  <p class="text-sm">
    <a
      class="inline-flex items-center lg:min-h-0 gap-x-2 text-action underline max-lg:min-h-11"
      href={p('/jobs/:id/money', { params: { id: String(job.id) } })}>Money</a
    >
    {#if it?.bill}<span class="text-quiet"
        >bill {it.bill.number}, <span class="fig">{sum(it.bill.grossMinor, me.currency)}</span></span
      >
    {:else if it?.estimate}
      <span class="text-quiet"
        >about <span class="fig">{sum(it.estimate.expectedMinor, me.currency)}</span>, {it.estimate.inTen} of 10
        up to
        <span class="fig">{sum(it.estimate.ceilingMinor, me.currency)}</span></span
      >
    {/if}
    {#if it?.against && !job.finishedAt}<span class="ml-1 text-waiting">▢ {it.against}</span>{/if}
    {#if it?.worth.best && it.worth.best !== 'mend' && !job.finishedAt && it.heldAs !== 'owner'}<span
        class="ml-1 text-out">✕ {it.worth.bestWords} brings more than mending</span
      >{/if}
  </p>
{/if}
