<script lang="ts">
  import type { CampaignLine } from '@/api/types';
  import { p } from '@/router';

  /** Open campaigns a machine stands on, in its passport. */
  let { lists }: { lists: readonly CampaignLine[] } = $props();
</script>

{#each lists as list (list.id)}
  <p
    class={[
      'mt-2 px-2.5 py-2 text-sm',
      list.here === null
        ? 'bg-waiting-wash text-waiting'
        : list.here
          ? 'bg-out-wash text-out'
          : 'bg-well-wash text-well',
    ]}
  >
    {list.here === null ? '▢' : list.here ? '✕' : '✓'} Campaign:
    <a class="underline" href={p('/campaigns/:id', { params: { id: String(list.id) } })}>{list.name}</a>,
    {list.here === null
      ? 'this machine not looked at yet'
      : list.here
        ? 'this one is affected'
        : 'this one is well'}
  </p>
{/each}
