<script lang="ts">
  import { p, route } from '@/router';
  import SubPlaces from '@/ui/SubPlaces.svelte';
</script>

<SubPlaces
  label="In the ledger"
  open={route.pathname}
  places={[
    { name: 'The books', href: p('/ledger') },
    { name: 'Estimates', href: p('/estimates') },
    { name: 'Buying', href: p('/buying') },
    { name: 'Claims', href: p('/claims') },
    { name: 'Not fetched', href: p('/not-fetched') },
    { name: 'Prices and terms', href: p('/prices') },
  ]}
/>
