<script lang="ts">
  /** What else there is in a place: links in a row, the open one underlined. */
  let {
    label,
    places,
    open,
  }: {
    label: string;
    places: readonly { name: string; href: string }[];
    /** where somebody is */
    open: string;
  } = $props();
</script>

<nav class="flex flex-wrap items-center gap-x-5 print:hidden" aria-label={label}>
  {#each places as place (place.href)}
    {@const here = open === place.href || open.startsWith(`${place.href}/`)}
    <a
      href={place.href}
      aria-current={here ? 'page' : undefined}
      class={[
        'inline-flex min-h-11 items-center border-b-2 text-sm',
        here ? 'border-action font-bold' : 'border-transparent text-quiet underline hover:text-ink',
      ]}>{place.name}</a
    >
  {/each}
</nav>
