<script lang="ts">
  import type { PlanPerson, PlanStep } from '@/api/types';
  import { clock } from '@/ui/format';
  import type { Moving } from './moving.svelte';
  import { at, long, span, type Ruler } from './ruler';

  /** Somebody's day: hands as blocks, a break as its outline; a step can be taken up and moved. */
  let {
    person,
    people,
    ruler,
    open,
    zone,
    now,
    moving,
    may,
    onask,
  }: {
    person: PlanPerson;
    people: readonly PlanPerson[];
    ruler: Ruler;
    open: string[][];
    zone: string;
    now: number;
    moving: Moving;
    may: boolean;
    onask: () => unknown;
  } = $props();

  let band: HTMLElement | undefined = $state();
  let width = $state(0);
  const gaps = $derived(
    open.slice(1).flatMap((one, i) => (open[i]?.[1] && one[0] ? [[open[i][1], one[0]] as const] : [])),
  );
  const away = $derived.by(() => {
    const holes: [string, string][] = [];
    for (const [from, to] of open as [string, string][]) {
      let last = Date.parse(from);
      for (const [start, end] of person.here as [string, string][]) {
        const s = Math.max(Date.parse(start), Date.parse(from));
        const e = Math.min(Date.parse(end), Date.parse(to));
        if (e <= s) continue;
        if (s - last > 60_000) holes.push([new Date(last).toISOString(), new Date(s).toISOString()]);
        last = Math.max(last, e);
      }
      if (Date.parse(to) - last > 60_000) holes.push([new Date(last).toISOString(), to]);
    }
    // what has been is no news
    return holes.filter(([, end]) => Date.parse(end) > now + 60_000);
  });

  // steps of one machine that follow each other carry its tag once, without the letter that checks it
  const runs = $derived.by(() => {
    const all: { job: number; tag: string; start: string; end: string; done: boolean }[] = [];
    for (const step of [...person.steps].sort((a, b) => Date.parse(a.start) - Date.parse(b.start))) {
      const last = all.at(-1);
      const done = step.state === 'done';
      if (
        last?.job === step.job &&
        last.done === done &&
        Date.parse(step.start) - Date.parse(last.end) < 120_000
      )
        last.end = step.end;
      else
        all.push({
          job: step.job,
          tag: step.tag.replace(/-[A-Z]$/, ''),
          start: step.start,
          end: step.end,
          done,
        });
    }
    return all;
  });

  const said = (step: PlanStep): string =>
    `${step.tag}, ${step.what}, ${clock(step.start, zone)} to ${clock(step.end, zone)}${step.state === 'now' ? ', now' : ''}${step.moved ? ', moved' : ''}`;

  function keys(event: KeyboardEvent, step: PlanStep): void {
    if (!may || step.state !== 'ahead') return;
    const act: Record<string, () => void> = {
      ArrowLeft: () => moving.quarter(-1, now),
      ArrowRight: () => moving.quarter(1, now),
      ArrowUp: () => moving.row(-1, people),
      ArrowDown: () => moving.row(1, people),
      Enter: () => void onask(),
      Escape: () => moving.drop(),
    };
    const does = act[event.key];
    if (!does) return;
    event.preventDefault();
    if (event.key !== 'Escape') moving.take(step, person.id);
    does();
  }

  function drag(event: PointerEvent, step: PlanStep): void {
    if (!may || step.state !== 'ahead' || event.button !== 0 || !band) return;
    const width = band.getBoundingClientRect().width;
    const startX = event.clientX;
    const startY = event.clientY;
    const began = Date.parse(step.start);
    const target = event.currentTarget as HTMLElement;
    target.setPointerCapture(event.pointerId);
    let dragged = false;
    const move = (to: PointerEvent): void => {
      if (!dragged && Math.hypot(to.clientX - startX, to.clientY - startY) < 6) return;
      if (!dragged) {
        moving.drop();
        moving.take(step, person.id);
      }
      dragged = true;
      moving.to(began + ((to.clientX - startX) / width) * (ruler.to - ruler.from), now);
      const row = document
        .elementsFromPoint(to.clientX, to.clientY)
        .find((one) => one instanceof HTMLElement && one.dataset['band'])
        ?.closest<HTMLElement>('[data-band]');
      if (row?.dataset['band']) moving.person = Number(row.dataset['band']);
    };
    const end = (): void => {
      target.removeEventListener('pointermove', move);
      target.removeEventListener('pointerup', end);
      target.removeEventListener('pointercancel', end);
      if (dragged) void onask();
    };
    target.addEventListener('pointermove', move);
    target.addEventListener('pointerup', end);
    target.addEventListener('pointercancel', end);
  }
</script>

<div class="grid grid-cols-[100px_minmax(0,1fr)] items-start">
  <div class="min-w-0 py-1 pr-1 leading-tight break-words">
    <span class="block truncate font-bold" title={person.name}>{person.name.split(' ')[0]}</span>
    <span class="block text-sm text-quiet">{person.role}</span>
  </div>
  <div
    bind:this={band}
    bind:clientWidth={width}
    data-band={person.id}
    class="relative h-12 touch-pan-y border-b border-line"
  >
    {#each gaps as [from, to] (from)}
      {@const place = span(ruler, from, to)}
      <span
        class="absolute top-1 flex h-8 items-center justify-center overflow-hidden border border-line bg-white text-xs text-quiet"
        style="left: {place.left}%; width: {place.width}%">break</span
      >
    {/each}
    {#each away as [from, to] (from)}
      {@const place = span(ruler, from, to)}
      <span
        class="absolute top-1 flex h-8 items-center justify-center overflow-hidden bg-drawer text-xs text-quiet"
        style="left: {place.left}%; width: {place.width}%">away</span
      >
    {/each}
    {#each person.steps as step, i (step.state === 'done' ? i : `${step.job} ${step.what}`)}
      {@const place = span(ruler, step.start, step.end)}
      {#if place.width > 0}
        <button
          type="button"
          aria-label={said(step)}
          title="{step.tag} · {step.what} · {long(
            (Date.parse(step.end) - Date.parse(step.start)) / 60_000,
          )}, {clock(step.start, zone)}"
          onclick={() => step.state === 'ahead' && may && moving.take(step, person.id)}
          onkeydown={(event) => keys(event, step)}
          onpointerdown={(event) => drag(event, step)}
          class={[
            'absolute top-1 flex h-8 items-center justify-center overflow-hidden border-r border-sheet font-mono text-xs font-semibold whitespace-nowrap',
            step.state === 'done' &&
              'bg-[color-mix(in_srgb,var(--color-action)_35%,var(--color-sheet))] text-white',
            step.state === 'now' && 'bg-action text-white outline-2 -outline-offset-1 outline-ink',
            step.state === 'ahead' && 'bg-action text-white hover:bg-pressed',
            moving.is(step) && moving.moved && 'opacity-40',
          ]}
          style="left: {place.left}%; width: max({place.width}%, 4px)"
        >
          {#if step.moved}<span class="sr-only">moved</span>▸{/if}
        </button>
      {/if}
    {/each}
    {#each runs as run, i (i)}
      {@const place = span(ruler, run.start, run.end)}
      {#if place.width * width > 4600}<span
          aria-hidden="true"
          class="pointer-events-none absolute top-1 flex h-8 items-center justify-center overflow-hidden font-mono text-xs font-semibold whitespace-nowrap text-white"
          style="left: {place.left}%; width: {place.width}%"
          ><span class={['px-0.5', run.done ? 'text-ink' : 'bg-action']}>{run.tag}</span></span
        >{/if}
    {/each}
    {#if moving.step && moving.person === person.id && moving.moved}
      {@const left = at(ruler, moving.start)}
      <span
        class="pointer-events-none absolute top-0 z-10 flex h-10 items-center justify-center overflow-hidden border-2 border-brass bg-paper font-mono text-xs font-semibold"
        style="left: {left}%; width: max({at(ruler, moving.start + moving.hands) - left}%, 34px)"
        >{clock(new Date(moving.start).toISOString(), zone)}</span
      >
    {/if}
  </div>
</div>
