<script lang="ts">
  import Press from '@/ui/Press.svelte';

  /** What became of a part’s life when it came out: nothing pressed is what the job says. */
  let { ended = $bindable() }: { ended: '' | 'failed' | 'worked' } = $props();
</script>

<Press
  label="Had it failed?"
  bind:value={ended}
  choices={[
    { code: '', name: 'as the job says' },
    { code: 'failed', name: 'it had failed' },
    { code: 'worked', name: 'it still worked' },
  ]}
/>
