<script lang="ts">
  import { p, route } from '@/router';
  import SubPlaces from '@/ui/SubPlaces.svelte';
</script>

<SubPlaces
  label="At the shelf"
  open={route.pathname}
  places={[
    { name: 'By bin', href: p('/shelf') },
    { name: 'What to order', href: p('/orders') },
    { name: 'Stocktake', href: p('/stocktake') },
    { name: 'Donors', href: p('/donors') },
    { name: 'Spools', href: p('/spools') },
    { name: 'Tables in and out', href: p('/tables') },
  ]}
/>
