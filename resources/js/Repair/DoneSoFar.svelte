<script lang="ts">
  import type { Job } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import { clock } from '@/ui/format';
  import NoteMend from './NoteMend.svelte';

  let { job, may }: { job: Job; may: boolean } = $props();
  const me = here();
</script>

<div>
  <h2 class="rule-below pb-1.5">Done</h2>
  <ul>
    {#each job.mends as mend (mend.id)}
      <li class="rule-below py-1.5">
        <p class="break-words">{mend.fault ? `${mend.fault}: ` : ''}{mend.done}</p>
        <p class="text-sm text-quiet">
          {mend.by}, {clock(mend.at, me.zone)}; touched: {mend.touched.join(', ')}
        </p>
      </li>
    {:else}
      <li class="py-2 text-quiet">Nothing is noted yet. What is touched decides what must be proved.</li>
    {/each}
  </ul>
  {#if may}<NoteMend {job} />{/if}
</div>
