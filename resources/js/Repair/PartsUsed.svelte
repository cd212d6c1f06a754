<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { keepJob } from '@/api/writes';
  import type { Job } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import { money } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';
  import UsePart from './UsePart.svelte';

  let {
    job,
    may,
    wanted,
    using = $bindable(false),
  }: { job: Job; may: boolean; wanted: string[]; using: boolean } = $props();

  const client = useQueryClient();
  const me = here();
  const work = new Work();
  const used = $derived(job.parts.filter((movement) => !movement.undone));
  const position = (code: string | null) => job.positions.find((p) => p.position === code)?.name;

  const putBack = (movement: number) =>
    work.do(async () =>
      keepJob(
        client,
        await told(
          api.DELETE('/jobs/{job}/parts/{movement}', { params: { path: { job: job.id, movement } } }),
        ),
      ),
    );
</script>

<div>
  <h2 class="rule-below pb-1.5">Parts used</h2>
  <ul>
    {#each used as movement (movement.id)}
      <li class="rule-below flex items-center justify-between gap-2 py-1.5">
        <span>
          <span class="fig">{-movement.quantity}</span> × {movement.partName}
          <span class="text-sm text-quiet">
            bin <span class="fig">{movement.bin}</span>{position(movement.position)
              ? ` → ${position(movement.position)}`
              : ''},
            <span class="fig">{money(-movement.valueMinor, me.currency)}</span>
          </span>
        </span>
        {#if may}<Button kind="quiet" busy={work.busy} onclick={() => putBack(movement.id)}>put back</Button
          >{/if}
      </li>
    {:else}
      <li class="py-2 text-quiet">None yet.</li>
    {/each}
  </ul>
  {#if work.refusal}<div class="mt-2"><Problem message={work.refusal.message} /></div>{/if}
  {#if may}<UsePart {job} {wanted} bind:open={using} />{/if}
</div>
