<script lang="ts">
  /** The frame as it leans, exaggerated so that it is seen; the factor is said. */
  let { a, b, degrees }: { a: number; b: number; degrees: number } = $props();

  const factor = $derived(Math.abs(degrees) < 1e-6 ? 1 : Math.max(1, Math.round(12 / Math.abs(degrees))));
  const scale = $derived(150 / Math.max(a, b));
  const w = $derived(a * scale);
  const h = $derived(b * scale);
  const lean = $derived(Math.tan((degrees * factor * Math.PI) / 180) * h);
  const x0 = 60;
  const y0 = 176;
</script>

<svg
  viewBox="0 0 270 200"
  class="w-full max-w-[270px]"
  role="img"
  aria-label="The frame, leaning by {degrees.toFixed(2)}°, drawn {factor} times"
>
  <path d="M{x0} {y0} h{w} v{-h} h{-w} Z" fill="none" stroke="var(--color-line)" stroke-width="2" />
  <path d="M{x0} {y0} h{w} l{lean} {-h} h{-w} Z" fill="none" stroke="var(--color-action)" stroke-width="3" />
  <path d="M{x0} {y0} L{x0 + w + lean} {y0 - h}" stroke="var(--color-out)" stroke-dasharray="4 3" />
  <path d="M{x0 + w} {y0} L{x0 + lean} {y0 - h}" stroke="var(--color-waiting)" stroke-dasharray="4 3" />
  <text x={x0 + w / 2 + lean / 2 + 14} y={y0 - h / 2 - 10} class="text-[12px]" fill="var(--color-out)">1</text
  >
  <text x={x0 + w / 2 + lean / 2 - 22} y={y0 - h / 2 - 10} class="text-[12px]" fill="var(--color-waiting)"
    >2</text
  >
  <text x="135" y="196" text-anchor="middle" class="text-[12px]" fill="var(--color-quiet)"
    >lean drawn × {factor}</text
  >
</svg>
