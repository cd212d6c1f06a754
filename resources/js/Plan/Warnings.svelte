<script lang="ts">
  import type { PlanWarning } from '@/api/types';
  import { p } from '@/router';
  import Tag from '@/ui/Tag.svelte';

  /** Promises that do not hold by the plan, and what would save each. */
  let { warnings }: { warnings: readonly PlanWarning[] } = $props();
</script>

{#if warnings.length > 0}
  <section aria-labelledby="does-not-hold">
    <h2 id="does-not-hold" class="mt-5 text-out">Does not hold</h2>
    {#each warnings as warning (warning.job)}
      <div class="mt-2 border-l-4 border-out bg-out-wash px-3 py-2">
        <a
          class="flex flex-wrap items-center gap-x-2 hover:underline"
          href={p('/jobs/:id', { params: { id: String(warning.job) } })}
          ><Tag tag={warning.tag} />
          {#if warning.name !== warning.tag}<strong>{warning.name.replace(` (${warning.tag})`, '')}</strong
            >{/if}</a
        >
        <p class="text-sm">{warning.words}</p>
        {#each warning.ways as way (way)}<p class="text-sm">→ {way}</p>{/each}
      </div>
    {/each}
  </section>
{/if}
