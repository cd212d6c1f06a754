<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { keepJob } from '@/api/writes';
  import type { Job } from '@/api/types';
  import Button from '@/ui/Button.svelte';
  import Check from '@/ui/Check.svelte';
  import Field from '@/ui/Field.svelte';
  import Form from '@/ui/Form.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** What came along is ticked again as it goes out; what stays here has a reason. */
  let { job, may }: { job: Job; may: boolean } = $props();

  const client = useQueryClient();
  const work = new Work();
  let staying = $state('');
  let because = $state('');
  type Line = Job['accessories'][number];

  const keep = (name: string, change: Partial<Line>) =>
    work.inTurn(async () => {
      const accessories = job.accessories.map((line) => ({
        code: line.code,
        name: line.name,
        came: line.came,
        went: line.went,
        staysBecause: line.staysBecause,
        ...(line.name === name ? change : {}),
      }));
      keepJob(
        client,
        await told(
          api.PUT('/jobs/{job}/accessories', {
            params: { path: { job: job.id } },
            body: { accessories, version: job.version },
          }),
        ),
      );
    });
  async function stays(): Promise<void> {
    if (await keep(staying, { staysBecause: because.trim() || null })) staying = because = '';
  }
</script>

{#if job.accessories.length > 0}
  <h2 class="rule-below pb-1.5">Goes out with it</h2>
  <ul class="mt-1 max-w-2xl">
    {#each job.accessories as line (line.name)}
      <li class="rule-below flex min-h-11 flex-wrap items-center justify-between gap-x-4">
        <Check
          disabled={!may}
          bind:checked={
            () => line.went === line.came,
            (ticked) => void keep(line.name, { went: ticked ? line.came : 0, staysBecause: null })
          }>{line.name}</Check
        >
        <span class="flex items-center gap-2">
          {#if line.came > 1}
            {#if may}<button
                type="button"
                class="min-h-11 w-9 text-lg text-quiet"
                aria-label="One {line.name} less goes out"
                onclick={() => keep(line.name, { went: Math.max(0, line.went - 1) })}>−</button
              >{/if}
            <span
              ><span class="fig">{line.went}</span>
              <span class="text-sm text-quiet">of {line.came}</span></span
            >
            {#if may}<button
                type="button"
                class="min-h-11 w-9 text-lg text-quiet"
                aria-label="One {line.name} more goes out"
                onclick={() => keep(line.name, { went: Math.min(line.came, line.went + 1) })}>+</button
              >{/if}
          {/if}
          {#if line.staysBecause}<span class="text-sm text-quiet">stays: {line.staysBecause}</span>
          {:else if line.missing}<span class="text-sm text-waiting">▢ in, not out</span>
            {#if may}<Button
                kind="quiet"
                label="{line.name} stays here, because…"
                onclick={() => (staying = line.name)}>stays…</Button
              >{/if}{/if}
        </span>
        {#if staying === line.name}
          <Form class="mb-2 flex w-full items-end gap-3" onsend={stays}>
            <div class="flex-1">
              <Field label="Why it stays here, as agreed" bind:value={because} maxlength={200} focus />
            </div>
            <Button type="submit" busy={work.busy}>It stays</Button>
          </Form>
        {/if}
      </li>
    {/each}
  </ul>
  {#if work.refusal}<div class="mt-2"><Problem message={work.refusal.message} /></div>{/if}
{/if}
