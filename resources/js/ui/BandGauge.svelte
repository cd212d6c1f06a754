<script lang="ts">
  interface Gauge {
    label: string;
    unit: string;
    value: number;
    from: number;
    to: number;
    okFrom: number;
    okTo: number;
    watchFrom: number;
    watchTo: number;
  }
  /** A reading on its scale, with the zones drawn to scale. */
  let { gauge, verdict }: { gauge: Gauge; verdict: string | null } = $props();

  const at = (value: number): number =>
    Math.max(0, Math.min(100, ((value - gauge.from) / (gauge.to - gauge.from)) * 100));
  const zone = (from: number, to: number): string =>
    `left: ${at(from)}%; width: ${Math.max(0, at(to) - at(from))}%`;
  const plain = (value: number): string => {
    const size = Math.abs(value);
    return value
      .toFixed(size >= 100 ? 0 : size >= 10 ? 1 : size >= 1 ? 2 : 3)
      .replace(/(\.\d*?)0+$/, '$1')
      .replace(/\.$/, '')
      .replace('-', '−');
  };
  const words = {
    ok: 'well',
    watch: 'to be watched',
    out: 'out',
    danger: 'danger',
    inconclusive: 'not settled',
  };
</script>

<div
  class="mt-3"
  role="img"
  aria-label="{gauge.label}: {plain(gauge.value)} {gauge.unit}, {words[verdict as keyof typeof words] ?? ''}"
>
  <p class="text-sm text-quiet" aria-hidden="true">{gauge.label}</p>
  <div class="relative mt-6 h-5 border border-edge bg-out-wash" aria-hidden="true">
    <span class="absolute inset-y-0 bg-waiting-wash" style={zone(gauge.watchFrom, gauge.watchTo)}></span>
    <span class="absolute inset-y-0 bg-well-wash" style={zone(gauge.okFrom, gauge.okTo)}></span>
    {#each [gauge.okFrom, gauge.okTo, gauge.watchFrom, gauge.watchTo] as edge, i (i)}
      {#if edge > gauge.from && edge < gauge.to}<span
          class="absolute inset-y-0 w-px bg-edge"
          style="left: {at(edge)}%"
        ></span>{/if}
    {/each}
    <span class="absolute -inset-y-1 w-[3px] bg-ink" style="left: calc({at(gauge.value)}% - 1.5px)"></span>
    <span
      class="absolute bottom-full mb-1.5 font-mono text-sm font-semibold whitespace-nowrap"
      style="left: {at(gauge.value)}%; transform: translateX(-{at(gauge.value)}%)"
      >{plain(gauge.value)} <span class="font-sans text-sm font-normal text-quiet">{gauge.unit}</span></span
    >
  </div>
  <div class="mt-0.5 flex justify-between font-mono text-[0.8125rem] text-quiet" aria-hidden="true">
    <span>{plain(gauge.from)}</span>
    <span class="font-sans"
      >well {plain(Math.max(gauge.okFrom, gauge.from))} to {plain(Math.min(gauge.okTo, gauge.to))}</span
    >
    <span>{plain(gauge.to)}</span>
  </div>
</div>
