<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import type { RiskyVisit } from '@/api/types';
  import { wrote } from '@/api/writes';
  import { p } from '@/router';
  import Button from '@/ui/Button.svelte';
  import Problem from '@/ui/Problem.svelte';
  import Tag from '@/ui/Tag.svelte';
  import { Work } from '@/ui/work.svelte';

  /** One press makes the service jobs of these visits, with their guides, and promises what is on the shelf. */
  let { visits, main = true }: { visits: readonly RiskyVisit[]; main?: boolean } = $props();

  const client = useQueryClient();
  const work = new Work();
  let made = $state<{ tag: string; job: number }[]>([]);

  const make = () =>
    work.do(async () => {
      made = (
        await told(
          api.POST('/fleet/service-jobs', {
            body: {
              visits: visits.map((visit) => ({
                tag: visit.tag,
                positions: visit.parts.filter((part) => !part.planned).map((part) => part.position),
              })),
            },
          }),
        )
      ).jobs;
      wrote(client, 'planned');
    });
</script>

{#if made.length > 0}
  <p class="mb-2 bg-well-wash px-2.5 py-2 text-sm text-well" role="status">
    ✓ Made, with what is on the shelf promised:
    {#each made as job (job.job)}<a
        class="mr-2 inline-block"
        href={p('/jobs/:id', { params: { id: String(job.job) } })}><Tag tag={job.tag} /></a
      >{/each}
  </p>
{/if}
{#if visits.length > 0}
  <Button kind={main && made.length === 0 ? 'main' : 'plain'} busy={work.busy} onclick={make}
    >{visits.length === 1 ? 'Make the service job' : `Make the ${visits.length} service jobs`}</Button
  >
{/if}
{#if work.refusal}<div class="mt-2"><Problem message={work.refusal.message} /></div>{/if}
