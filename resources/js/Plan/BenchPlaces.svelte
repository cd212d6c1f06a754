<script lang="ts">
  import { p } from '@/router';
  import SubPlaces from '@/ui/SubPlaces.svelte';

  let { open }: { open: string } = $props();
</script>

<SubPlaces
  label="Bench"
  {open}
  places={[
    { name: 'What now', href: p('/') },
    { name: 'Today', href: p('/today') },
    { name: 'This week', href: p('/week') },
    { name: 'Hand-over', href: p('/hand-over') },
    { name: 'How it went', href: p('/went') },
    { name: 'Hours', href: p('/hours') },
  ]}
/>
