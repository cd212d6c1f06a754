<script lang="ts">
  import { p, route } from '@/router';
  import SubPlaces from '@/ui/SubPlaces.svelte';
</script>

<SubPlaces
  label="Among the machines"
  open={route.pathname}
  places={[
    { name: 'All machines', href: p('/machines') },
    { name: 'Farm', href: p('/farm') },
    { name: 'What will fail', href: p('/will-fail') },
    { name: 'Campaigns', href: p('/campaigns') },
    { name: 'Lives', href: p('/lives') },
    { name: 'Does not hold', href: p('/does-not-hold') },
  ]}
/>
