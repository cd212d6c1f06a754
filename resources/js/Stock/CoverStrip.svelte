<script lang="ts">
  /** How long what is free lasts, against when it has to be ordered. */
  let { weeks, orderAt, toOrder }: { weeks: number | null; orderAt: number | null; toOrder: boolean } =
    $props();

  const HALF_A_YEAR = 26;
  const most = $derived(Math.max(HALF_A_YEAR, (orderAt ?? 0) * 1.25));
  const share = (w: number): string => `${(Math.min(w, most) / most) * 100}%`;
  const shown = $derived(weeks === null ? '' : weeks > 99 ? '>99' : weeks.toFixed(weeks < 10 ? 1 : 0));
</script>

{#if weeks !== null}
  <span class="flex items-center gap-2"
    ><span
      class="relative block h-3 w-24 bg-line"
      role="img"
      aria-label="lasts {shown} weeks{toOrder ? ', to be ordered' : ''}"
    >
      <span
        class={['absolute inset-y-0 left-0', toOrder ? 'bg-out' : 'bg-well']}
        style="width: {share(weeks)}"
      ></span>
      {#if orderAt !== null}<span class="absolute -inset-y-0.5 w-0.5 bg-ink" style="left: {share(orderAt)}"
        ></span>{/if}
    </span>
    <span class="text-sm text-quiet" aria-hidden="true"
      ><span class="fig">{shown}</span> weeks{#if toOrder}<span class="ml-1 font-semibold text-out"
          >▼ order</span
        >{/if}</span
    ></span
  >
{/if}
