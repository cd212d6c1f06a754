<script lang="ts">
  import type { Fix } from '@/api/types';
  import TrayCell from './TrayCell.svelte';

  /** The tray as it lies on the bench: cells in their order, screws to scale of length. */
  let { fix, sheet = false }: { fix: Fix; sheet?: boolean } = $props();

  const used = $derived(fix.steps.filter((step) => step.cell !== null));
  const cells = $derived.by(() => {
    const last = Math.max(sheet ? 0 : 4, ...used.map((step) => step.cell ?? 0));
    const rows = Math.ceil(last / 2);
    return Array.from({ length: rows * 2 }, (_, i) => ({
      number: i + 1,
      steps: used.filter((step) => step.cell === i + 1),
    }));
  });
  const amiss = $derived(
    new Set(
      fix.differences
        .filter((d) => !d.explained)
        .flatMap((d) => d.steps)
        .filter((number) => fix.steps.some((s) => s.number === number && s.standing !== 'off')),
    ),
  );
</script>

<section aria-label="Tray">
  <h2 class="pb-1.5">Tray <span class="ml-1 text-sm font-normal text-quiet">screws to scale</span></h2>
  <div class="grid grid-cols-2 gap-2">
    {#each cells as cell (cell.number)}
      <TrayCell number={cell.number} steps={cell.steps} amiss={cell.steps.some((s) => amiss.has(s.number))} />
    {/each}
  </div>
</section>
