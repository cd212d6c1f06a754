<script lang="ts">
  import type { TrayStep } from '@/api/types';

  /** One cell: what lies in it, drawn; empty again when its step is back on. */
  let { number, steps, amiss }: { number: number; steps: TrayStep[]; amiss: boolean } = $props();

  const MM = 2.4;
  const out = $derived(steps.filter((step) => step.standing !== 'back'));
  const left = $derived(steps.some((step) => step.fasteners.some((f) => f.lies > 0)));
  const back = $derived(steps.length > 0 && out.length === 0 && !left);

  interface Drawn {
    size: string;
    count: number;
    length: number | null;
    thick: number;
    head: string | null;
  }
  const rows = $derived(
    steps.flatMap((step) =>
      step.fasteners
        .filter((f) => f.lies > 0)
        .map((f): Drawn => ({
          size: f.size,
          count: f.lies,
          length: f.lengthMm,
          thick: Math.max(3, (f.diameterMm ?? 3) * MM * 0.75),
          head: f.head,
        })),
    ),
  );
  /** As many as fit are drawn, the rest is said in figures. */
  const drawn = $derived(
    rows.flatMap((row) => Array.from({ length: Math.min(row.count, 4) }, () => row)).slice(0, 5),
  );
  const names = $derived(steps.map((step) => step.off).join(', '));
</script>

<div
  class={[
    'relative flex min-h-24 min-w-0 flex-col justify-between rounded-sm border p-2',
    amiss ? 'border-out bg-out-wash' : back ? 'border-line bg-ground text-quiet' : 'border-edge bg-white',
  ]}
>
  <span class="fig absolute top-1 right-2 text-sm text-quiet">{number}</span>
  <svg
    viewBox="0 0 160 {Math.max(12, drawn.length * 11)}"
    class="h-auto max-h-16 w-full max-w-40"
    aria-hidden="true"
  >
    {#each drawn as one, i (i)}
      {@const y = i * 11 + 5.5}
      {@const long = Math.min(140, (one.length ?? 0) * MM)}
      {#if one.length !== null}
        {#if one.head === 'countersunk'}
          <path
            d="M2 {y - 5} L9 {y - one.thick / 2} V{y + one.thick / 2} L2 {y + 5} Z"
            fill="var(--color-quiet)"
          />
          <rect
            x="9"
            y={y - one.thick / 2}
            width={Math.max(1, long - 7)}
            height={one.thick}
            fill="var(--color-shade)"
          />
        {:else if one.head === 'grub'}
          <rect x="2" y={y - one.thick / 2} width={long} height={one.thick} fill="var(--color-quiet)" />
        {:else}
          <path
            d={one.head === 'button'
              ? `M9 ${y - 5} Q2 ${y - 4} 2 ${y} Q2 ${y + 4} 9 ${y + 5} Z`
              : `M2 ${y - 4.5} H9 V${y + 4.5} H2 Z`}
            fill="var(--color-quiet)"
          />
          <rect x="9" y={y - one.thick / 2} width={long} height={one.thick} fill="var(--color-shade)" />
        {/if}
      {:else if one.size.includes('spring')}
        <path
          d="M4 {y + 4} q4 -9 8 0 t8 0 t8 0 t8 0"
          fill="none"
          stroke="var(--color-quiet)"
          stroke-width="1.8"
          stroke-linecap="round"
        />
      {:else if one.size.includes('washer')}
        <circle cx="8" cy={y} r="4.6" fill="none" stroke="var(--color-quiet)" stroke-width="2.2" />
      {:else if one.size.includes('nut')}
        <path d="M3 {y} l3 -5 h6 l3 5 l-3 5 h-6 Z" fill="none" stroke="var(--color-quiet)" stroke-width="2" />
      {:else if one.size.startsWith('ST')}
        <path
          d="M2 {y - 4.5} H8 V{y - 2.5} L{8 + Number(one.size.split('×')[1] ?? 8) * MM} {y} L8 {y + 2.5} V{y +
            4.5} H2 Z"
          fill="var(--color-quiet)"
        />
      {:else}
        <rect
          x="3"
          y={y - 3}
          width="14"
          height="6"
          rx="3"
          fill="none"
          stroke="var(--color-quiet)"
          stroke-width="1.6"
        />
      {/if}
    {/each}
  </svg>
  <p class="mt-1 text-sm leading-tight break-words">
    {#each rows as row (row.size)}<span class="fig block font-bold"
        >{row.size} <span class="float-right">×{row.count}</span></span
      >{/each}
    {#if steps.length > 0}<span class={back ? 'line-through' : 'text-quiet'}>{names}</span>{/if}
    {#if out.some((s) => s.parts.length > 0)}<span class="text-quiet">
        · {out.flatMap((s) => s.parts).join(', ')}</span
      >{/if}
  </p>
</div>
