<script lang="ts">
  import type { Job } from '@/api/types';
  import { labels } from '@/ui/machinePlaces';
  import MachineShape from '@/ui/MachineShape.svelte';
  import { here } from '@/api/session.svelte';
  import Dialog from '@/ui/Dialog.svelte';

  /** Tap a place on the drawn machine, choose what is seen there. */
  interface Props {
    job: Job;
    open: boolean;
    busy: boolean;
    record: (findings: Record<string, boolean>) => Promise<boolean>;
  }
  let { job, open = $bindable(), busy, record }: Props = $props();

  const me = here();
  const HEIGHT = 300;
  const SIDE = 168;
  const WIDTH = 300 + 2 * SIDE;
  const family = $derived(me.words.families.find((f) => f.code === job.machine.family));
  const traits = $derived(family?.traits ?? {});
  const columns = $derived(labels(family?.places ?? [], traits, HEIGHT));
  const placed = $derived([
    ...columns.left.map((label) => ({ ...label, x: SIDE - 8, anchor: 'end' as const })),
    ...columns.right.map((label) => ({ ...label, x: SIDE + 308, anchor: 'start' as const })),
  ]);
  let chosen = $state<string | null>(null);
  const place = $derived(me.words.places.find((p) => p.code === chosen));
  const known = $derived(new Map(job.findings.map((finding) => [finding.code, finding.present])));
  const seen = $derived(
    (place?.findings ?? []).flatMap(
      (code) => me.words.findings.find((finding) => finding.code === code) ?? [],
    ),
  );
  const nameOf = (code: string): string => me.words.places.find((p) => p.code === code)?.name ?? code;

  async function choose(code: string): Promise<void> {
    if (await record({ [code]: true })) open = false;
  }
</script>

<Dialog bind:open title="Point at the machine" wide>
  <div class="grid gap-4 md:grid-cols-[minmax(0,1fr)_17rem]">
    <svg
      viewBox="0 0 {WIDTH} {HEIGHT}"
      class="w-full"
      role="group"
      aria-label="{job.machine.familyName}, drawn"
    >
      <g transform="translate({SIDE} 0)"><MachineShape {traits} /></g>
      {#each placed as label (label.code)}
        {@const on = chosen === label.code}
        <g
          role="button"
          tabindex="0"
          aria-pressed={on}
          aria-label={nameOf(label.code)}
          class="group cursor-pointer outline-none"
          onclick={() => (chosen = label.code)}
          onkeydown={(event) => {
            if (event.key === 'Enter' || event.key === ' ') {
              event.preventDefault();
              chosen = label.code;
            }
          }}
        >
          <rect
            x={label.anchor === 'end' ? 0 : label.x - 4}
            y={label.y - 17}
            width={SIDE - 4}
            height="34"
            rx="3"
            class={[
              'group-hover:fill-wash group-focus-visible:stroke-action group-focus-visible:stroke-2',
              on ? 'fill-wash stroke-action' : 'fill-transparent',
            ]}
          />
          <line
            x1={label.anchor === 'end' ? label.x + 4 : label.x - 6}
            y1={label.y}
            x2={SIDE + label.spot.x}
            y2={label.spot.y}
            stroke={on ? 'var(--color-action)' : 'var(--color-edge)'}
            stroke-width={on ? 1.8 : 0.8}
            stroke-dasharray={on ? undefined : '2 2'}
          />
          <circle cx={SIDE + label.spot.x} cy={label.spot.y} r="16" fill="transparent" />
          <circle
            cx={SIDE + label.spot.x}
            cy={label.spot.y}
            r={on ? 8 : 5}
            fill={on ? 'var(--color-action)' : 'var(--color-sheet)'}
            stroke="var(--color-action)"
            stroke-width="2"
            class="group-hover:fill-action"
          />
          <text
            x={label.x}
            y={label.y + 5}
            text-anchor={label.anchor}
            class={['text-[14px]', on && 'font-bold']}
            fill="var(--color-ink)">{nameOf(label.code)}</text
          >
        </g>
      {/each}
    </svg>
    <div aria-live="polite">
      {#if place}
        <h3>At the {place.name}</h3>
        <ul class="mt-1 max-h-[58vh] overflow-y-auto">
          {#each seen as finding (finding.code)}
            <li class="rule-below">
              {#if known.has(finding.code)}
                <span class="flex min-h-10 items-center gap-2 text-quiet"
                  ><span aria-hidden="true">{known.get(finding.code) ? '▲' : '▽'}</span>
                  {known.get(finding.code) ? '' : 'not: '}{finding.name}</span
                >
              {:else}
                <button
                  type="button"
                  class="flex min-h-10 w-full items-center text-left leading-tight hover:bg-wash max-lg:min-h-11"
                  disabled={busy}
                  onclick={() => choose(finding.code)}>{finding.name}</button
                >
              {/if}
            </li>
          {/each}
        </ul>
      {:else}
        <p class="text-quiet">Tap where something is wrong, then choose what is seen there.</p>
      {/if}
    </div>
  </div>
</Dialog>
