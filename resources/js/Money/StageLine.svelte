<script lang="ts">
  import type { OfferPage } from '@/api/types';
  import { percent } from '@/ui/format';

  /** Staged tests as a line that branches off: what the machine is worth above each mark, what stopping brings on each branch. */
  type Stage = Pick<
    OfferPage['stages'][number],
    'name' | 'costMinor' | 'passes' | 'fallbackMinor' | 'end' | 'worthMinor' | 'goOn' | 'outcome'
  >;
  let { stages, sellsMinor }: { stages: readonly Stage[]; sellsMinor: number } = $props();

  const W = 860;
  const step = $derived((W - 150) / Math.max(1, stages.length));
  const at = (i: number): number => 55 + i * step;
  const plain = (minor: number): string => (minor / 100).toFixed(2);
  // where it ended, nothing further is drawn as if it were still to come
  const ended = $derived(
    stages.findIndex((stage) => stage.outcome === 'failed' || stage.outcome === 'stopped'),
  );
  const over = (i: number): boolean => ended >= 0 && i >= ended;
  const short = (text: string): string => (text.length > 26 ? `${text.slice(0, 25)}…` : text);
</script>

<svg
  viewBox="0 0 {W} 170"
  class="mt-2 block w-full max-w-[860px]"
  role="img"
  aria-label={stages
    .map((s) => `${s.name}: worth ${plain(s.worthMinor)} before it, passes in ${percent(s.passes)} of 100`)
    .join('; ')}
>
  {#each stages as stage, i (i)}
    {@const x = at(i)}
    <g class={over(i) ? 'opacity-45' : ''}>
      <line
        x1={x}
        x2={at(i + 1)}
        y1="62"
        y2="62"
        class="stroke-action"
        stroke-width={2 + 5 * stage.passes}
        stroke-dasharray={stage.goOn ? undefined : '3 5'}
      />
      <text x={x + step / 2} y="48" text-anchor="middle" class="fill-action text-[13px] font-semibold"
        >{percent(stage.passes)} of 100</text
      >
      <text x={x + step / 2 + 8} y="84" text-anchor="middle" class="fill-quiet font-mono text-[13px]"
        >− {plain(stage.costMinor)}</text
      >
      <path
        d="M{x + step * 0.28} 62 C {x + step * 0.42} 62, {x + step * 0.4} 128, {x + step * 0.56} 128"
        fill="none"
        class="stroke-out"
        stroke-width={1.5 + 5 * (1 - stage.passes)}
      />
      <text x={x + step * 0.58} y="132" class="fill-out text-[13px]"
        >{stage.end}, {plain(stage.fallbackMinor)}</text
      >
    </g>
    <text {x} y="24" text-anchor="middle" class="fill-ink font-mono text-[15px] font-bold"
      >{plain(stage.worthMinor)}</text
    >
    <circle
      cx={x}
      cy="62"
      r="9"
      class={[
        'stroke-action',
        stage.outcome === 'passed' ? 'fill-action' : stage.outcome ? 'fill-out' : 'fill-sheet',
      ]}
      stroke-width="3"
    />
    <text {x} y="104" text-anchor="middle" class="fill-quiet text-[13px]"
      >{i === 0 ? 'as it stands' : short(stages[i - 1]?.name ?? '')}</text
    >
  {/each}
  <text x={at(stages.length)} y="24" text-anchor="middle" class="fill-ink font-mono text-[15px] font-bold"
    >{plain(sellsMinor)}</text
  >
  <circle cx={at(stages.length)} cy="62" r="9" class="fill-sheet stroke-action" stroke-width="3" />
  <text x={at(stages.length)} y="104" text-anchor="middle" class="fill-quiet text-[13px]">sold</text>
  <text x="0" y="166" class="fill-quiet text-[13px]"
    >Above the marks: what it is worth to us there, before what we pay.</text
  >
</svg>
