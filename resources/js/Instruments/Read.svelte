<script lang="ts">
  import type { Read } from '@/api/types';
  import LinkButton from '@/ui/LinkButton.svelte';
  import BandGauge from '@/ui/BandGauge.svelte';
  import BedMap from './BedMap.svelte';
  import HeatCurve from './HeatCurve.svelte';
  import LeaningFrame from './LeaningFrame.svelte';
  import Spectrum from './Spectrum.svelte';

  /** What an instrument read: the sentence, the gauge, the figures, a picture where people would rather look. */
  let { code, read, job }: { code: string; read: Read; job: number | null } = $props();

  const verdicts: Record<string, { mark: string; word: string; look: string }> = {
    ok: { mark: '●', word: 'Well', look: 'border-well bg-well-wash text-well' },
    watch: { mark: '▲', word: 'To be watched', look: 'border-waiting bg-waiting-wash text-waiting' },
    out: { mark: '✕', word: 'Out', look: 'border-out bg-out-wash text-out' },
    danger: { mark: '▲', word: 'Danger', look: 'border-red bg-out-wash text-red' },
    inconclusive: { mark: '▢', word: 'Not settled', look: 'border-edge bg-sheet text-ink' },
  };
  const verdict = $derived(read.verdict === null ? null : verdicts[read.verdict]);
  const result = $derived(read.result as Record<string, unknown>);
  const input = $derived(read.input as Record<string, unknown>);
  const num = (value: unknown): number | null => (typeof value === 'number' ? value : null);

  function save(): void {
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([String(result.gcode)], { type: 'text/plain' }));
    link.download = 'cable-test-slab.gcode';
    link.click();
    URL.revokeObjectURL(link.href);
  }
  type Problem = { line: number; kind: string; message: string };
</script>

<div aria-live="polite">
  {#if verdict}
    <p class={['border-l-4 px-3 py-2', verdict.look]}>
      <strong><span aria-hidden="true">{verdict.mark}</span> {verdict.word}.</strong>
      {read.because}
    </p>
  {:else if read.because}<p>{read.because}</p>{/if}
  {#if read.gauge}<BandGauge gauge={read.gauge} verdict={read.verdict} />{/if}
  <dl class="mt-3 grid grid-cols-[1fr_auto]">
    {#each read.lines as line (line.label)}
      <dt class="rule-below py-1 text-quiet">{line.label}</dt>
      <dd class="rule-below py-1 pl-4 text-right">
        <span class={/^[−-]?[\d.]/.test(line.value) ? 'fig font-semibold' : 'font-semibold'}
          >{line.value}</span
        >
        <span class="text-sm text-quiet">{line.unit}</span>
      </dd>
    {/each}
  </dl>
  {#if code === 'bed-plane'}
    <div class="mt-3">
      <BedMap
        points={input.points as { x_mm: number; y_mm: number; z_mm: number }[]}
        screws={input.screws as { name: string; x_mm: number; y_mm: number }[]}
        turns={result.screws as never}
      />
    </div>
  {:else if code === 'thermal-log' && Array.isArray(result.curve)}
    <div class="mt-3">
      <HeatCurve
        curve={result.curve as [number, number, number][]}
        target={num(result.target_c) ?? 0}
        began={num(result.began_s) ?? 0}
        rise={num(result.rise_s)}
        overshoot={num(result.overshoot_c)}
        settle={num(result.settle_s)}
      />
    </div>
  {:else if code === 'squareness'}
    <div class="mt-3">
      <LeaningFrame
        a={num(input.side_a_mm) ?? 1}
        b={num(input.side_b_mm) ?? 1}
        degrees={num(result.skew_deg) ?? 0}
      />
    </div>
  {:else if code === 'gcode' && Array.isArray(result.problems) && result.problems.length > 0}
    <ul class="mt-3 max-h-56 overflow-y-auto text-sm">
      {#each result.problems as Problem[] as problem, i (i)}
        <li class="rule-below py-1">
          <span class="text-quiet">line <span class="fig">{problem.line}</span></span>
          {problem.message}
        </li>
      {/each}
    </ul>
  {/if}
  {#if code === 'pluck-frequency' && num(result.frequency_hz) !== null && Array.isArray(result.spectrum)}
    <div class="mt-3">
      <Spectrum spectrum={result.spectrum as [number, number][]} hz={num(result.frequency_hz) ?? 0} />
    </div>
  {/if}
  {#if code === 'pluck-frequency' && num(result.frequency_hz) !== null && (num(result.confidence) ?? 0) >= 0.3}
    <p class="mt-3">
      <LinkButton
        href={`/instruments/belt-tension?frequency_hz=${(num(result.frequency_hz) ?? 0).toFixed(1)}${job === null ? '' : `&job=${job}`}`}
        >Take it to the belt tension</LinkButton
      >
    </p>
  {:else if code === 'flex-slab'}
    <button
      type="button"
      class="mt-3 min-h-11 rounded-sm border border-action bg-white px-4 font-semibold text-action hover:bg-wash"
      onclick={save}>Save the G-code</button
    >
  {/if}
  <details class="mt-3 text-sm">
    <summary class="min-h-9 cursor-pointer py-1.5 text-quiet">How this is worked out</summary>
    <p class="font-mono break-words">{read.worked}</p>
    <p class="mt-1 text-quiet">{read.source}</p>
  </details>
</div>
