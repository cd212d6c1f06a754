<script lang="ts">
  import { p, route } from '@/router';

  /** What else there is at the shelf. */
  const places = [
    { name: 'By bin', path: '/shelf' },
    { name: 'What to order', path: '/orders' },
    { name: 'Stocktake', path: '/stocktake' },
    { name: 'Donors', path: '/donors' },
    { name: 'Spools', path: '/spools' },
    { name: 'Tables in and out', path: '/tables' },
  ] as const;
</script>

<nav class="flex flex-wrap items-center gap-x-5 print:hidden" aria-label="At the shelf">
  {#each places as place (place.path)}
    {@const here = route.pathname === place.path}
    <a
      href={p(place.path)}
      aria-current={here ? 'page' : undefined}
      class={[
        'inline-flex min-h-11 items-center border-b-2 text-sm',
        here ? 'border-action font-bold' : 'border-transparent text-quiet underline hover:text-ink',
      ]}>{place.name}</a
    >
  {/each}
</nav>
