<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { untrack } from 'svelte';
  import { api, told } from '@/api/client';
  import type { Moved, Today } from '@/api/types';
  import Button from '@/ui/Button.svelte';
  import { clock } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import Tag from '@/ui/Tag.svelte';
  import { Work } from '@/ui/work.svelte';
  import type { Moving } from './moving.svelte';

  /** What putting a step there would cost; and then it is put there, or not. */
  let { plan, moving, zone, ondone }: { plan: Today; moving: Moving; zone: string; ondone: () => unknown } =
    $props();
  const client = useQueryClient();
  const work = new Work();
  let moved = $state<Moved | null>(null);
  const who = $derived(plan.people.find((one) => one.id === moving.person));

  const body = () => ({
    job: moving.step?.job ?? 0,
    step: moving.step?.what ?? '',
    person: moving.person,
    notBefore: new Date(moving.start).toISOString(),
  });

  // asked again whenever it is moved on, and by nothing else
  $effect(() => {
    const asked = body();
    untrack(() => {
      moved = null;
      void work.do(async () => {
        moved = await told(api.POST('/plan/move-cost', { body: asked }));
      });
    });
  });

  async function keep(): Promise<void> {
    const kept = await work.do(async () => {
      await told(api.POST('/plan/moves', { body: body() }));
      await client.invalidateQueries({ queryKey: ['today'] });
    });
    if (kept) leave();
  }

  async function undo(): Promise<void> {
    const undone = await work.do(async () => {
      await told(
        api.DELETE('/plan/moves', { body: { job: moving.step?.job ?? 0, step: moving.step?.what ?? '' } }),
      );
      await client.invalidateQueries({ queryKey: ['today'] });
    });
    if (undone) leave();
  }

  function leave(): void {
    moving.drop();
    ondone();
  }
</script>

{#if moving.step}
  <section aria-labelledby="move" aria-live="polite">
    <h2 id="move">Move it?</h2>
    <p class="mt-1 flex flex-wrap items-center gap-2"><Tag tag={moving.step.tag} /> {moving.step.what}</p>
    <p class="mt-1">
      to <strong class="fig">{clock(new Date(moving.start).toISOString(), zone)}</strong>, {who?.name ?? ''}
    </p>
    {#if moved}
      <ul class="mt-2">
        {#each moved.costs as line (line)}<li class="font-semibold text-out">▲ {line}</li>{/each}
        {#each moved.gains as line (line)}<li class="text-well">▼ {line}</li>{/each}
        {#if moved.costs.length + moved.gains.length === 0}<li class="text-well">✓ It costs nothing.</li>{/if}
      </ul>
    {:else if work.busy}
      <p class="mt-2 text-quiet">◔ reckoning…</p>
    {/if}
    <Problem message={work.refusal?.message} />
    <div class="mt-3 flex flex-wrap gap-2">
      <Button kind="main" busy={work.busy} onclick={keep}>Move it</Button>
      <Button onclick={leave}>Leave it</Button>
      {#if moving.step.moved}<Button busy={work.busy} onclick={undo}>Let it go where it goes</Button>{/if}
    </div>
  </section>
{/if}
