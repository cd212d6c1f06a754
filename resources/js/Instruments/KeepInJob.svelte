<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { wrote } from '@/api/writes';
  import { comparedQuery, jobQuery } from '@/api/queries';
  import type { Sheet } from '@/api/types';
  import { p } from '@/router';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import { day, hours } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';
  import { asked } from './asked';

  /** Keeps a reading in its job, and shows what was read here before and on the sisters. */
  interface Props {
    sheet: Sheet;
    job: number;
    texts: Record<string, string>;
    file: File | null;
    position: string;
  }
  let { sheet, job, texts, file, position }: Props = $props();

  const client = useQueryClient();
  const me = here();
  const work = new Work();
  const found = createQuery(() => jobQuery(job));
  const compared = createQuery(() => comparedQuery(job, sheet.code, position));
  let kept = $state(false);
  const may = $derived(me.person.worksAtTheBench && found.data?.finishedAt === null);
  const plain = (value: number): string =>
    value.toFixed(Math.abs(value) >= 100 ? 0 : Math.abs(value) >= 1 ? 2 : 3);

  async function keep(): Promise<void> {
    kept = await work.do(async () => {
      const { query, ...body } = asked(texts, file);
      const params = { path: { job, name: sheet.code }, query: { ...query, position } };
      await told(api.POST('/jobs/{job}/instruments/{name}', { params, ...body }));
      wrote(client, 'reading');
    });
  }
</script>

<section class="mt-4 border-t border-line pt-3" aria-label="In the job">
  {#if kept}
    <p class="font-semibold text-well" role="status">
      ✓ Kept in the job; the ranking has moved.
      <a class="underline" href={p('/jobs/:id', { params: { id: String(job) } })}>Back to the job</a>
    </p>
  {:else if may}
    <div class="flex flex-wrap items-end gap-3">
      <Button kind="main" busy={work.busy} onclick={keep}>Keep it in the job</Button>
    </div>
  {/if}
  {#if work.refusal}<div class="mt-2"><Problem message={work.refusal.message} /></div>{/if}
  {#if compared.data && (compared.data.earlier.length > 0 || compared.data.sisters > 0 || compared.data.baseline)}
    <h3 class="mt-3">Held against</h3>
    <ul class="mt-1 text-sm">
      {#if compared.data.baseline}
        <li class="rule-below py-1">
          When it was well: <span class="fig font-semibold">{plain(compared.data.baseline.value)}</span>
          {compared.data.baseline.unit}
          <span class="text-quiet">{day(compared.data.baseline.at, me.zone)}</span>
        </li>
      {/if}
      {#if compared.data.median !== null}
        <li class="rule-below py-1">
          Sisters: <span class="fig font-semibold">{plain(compared.data.median)}</span>
          {compared.data.unit} in the middle of <span class="fig">{compared.data.sisters}</span>, from
          <span class="fig">{plain(compared.data.least ?? 0)}</span> to
          <span class="fig">{plain(compared.data.most ?? 0)}</span>
        </li>
      {/if}
      {#each compared.data.earlier as past (past.at)}
        <li class="rule-below py-1">
          This machine: <span class="fig font-semibold">{plain(past.value)}</span>
          {compared.data.unit}
          <span class="text-quiet"
            >{past.hours === null ? '' : `at ${hours(past.hours)} h, `}{past.by}, {day(
              past.at,
              me.zone,
            )}</span
          >
        </li>
      {/each}
    </ul>
  {/if}
</section>
