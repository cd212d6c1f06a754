<script lang="ts">
  import { tick } from 'svelte';
  import { api, Refusal, told } from '@/api/client';
  import type { BinSheet, Stocktakes } from '@/api/types';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import { number } from '@/ui/format';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';
  import { onLabel } from './onLabel';

  /** One bin, part by part: type how many, enter, the next. How many there should be is not shown. */
  let {
    stocktake,
    sheet = $bindable(),
    left,
  }: {
    stocktake: number;
    sheet: BinSheet | null;
    left: (all: Stocktakes | null) => Promise<void>;
  } = $props();

  const work = new Work();
  let typed = $state<Record<string, string>>({});
  let scanned = $state('');
  let asked = $state('');
  let wrong = $state<{ part: string; message: string } | null>(null);
  const inputs: Record<string, HTMLInputElement | undefined> = $state({});
  let finish: HTMLElement | undefined = $state();
  const bin = $derived(sheet?.bin ?? '');
  const lines = $derived(sheet?.lines ?? []);
  const counted = $derived(lines.filter((line) => line.counted !== null).length);

  async function next(part: string): Promise<void> {
    await tick();
    const rest = [...lines.slice(lines.findIndex((line) => line.part === part) + 1), ...lines];
    const open = rest.find((line) => line.counted === null);
    if (open) inputs[open.part]?.focus();
    else finish?.querySelector('button')?.focus();
  }

  async function count(part: string, afterMoves = false): Promise<void> {
    const text = typed[part] ?? '';
    const line = lines.find((one) => one.part === part);
    if (text.trim() === '' || (text === String(line?.counted ?? '') && !afterMoves)) {
      if (line?.counted !== null && text.trim() !== '') await next(part);
      return;
    }
    const pieces = number(text);
    if (pieces === null || !Number.isInteger(pieces) || pieces < 0) {
      wrong = { part, message: `“${text}” is no count. Whole pieces; 0 when there is none.` };
      return;
    }
    wrong = null;
    asked = '';
    const kept = await work.inTurn(async () => {
      sheet = await told(
        api.POST('/stocktakes/{stocktake}/bins/{bin}/counts', {
          params: { path: { stocktake, bin } },
          body: { part, counted: pieces, afterMoves },
        }),
      );
    });
    // who types quickly is at the next one already
    const here = document.activeElement === inputs[part] || document.activeElement === document.body;
    if (kept) await (here ? next(part) : undefined);
    else if (work.error('moved')) asked = part;
    else if (work.refusal) wrong = { part, message: work.refusal.message };
  }

  /** Scanning a part jumps to it; one that should not be here is added. */
  async function scan(): Promise<void> {
    const part = onLabel(scanned);
    if (part === '') return;
    const known = lines.find((line) => line.part.toLowerCase() === part.toLowerCase());
    if (known) {
      scanned = '';
      inputs[known.part]?.focus();
      return;
    }
    await work.do(async () => {
      const found = await told(api.GET('/parts/{number}', { params: { path: { number: part } } }));
      if (!sheet) return;
      sheet = {
        ...sheet,
        lines: [...sheet.lines, { part: found.part.number, name: found.part.name, counted: null }],
      };
      scanned = '';
      await tick();
      inputs[found.part.number]?.focus();
    });
  }

  let finishing = $state(false);

  /** Also while the last count is on its way: it waits for that. */
  async function done(): Promise<void> {
    if (finishing) return;
    finishing = true;
    await work.after(async () =>
      left(
        await told(
          api.POST('/stocktakes/{stocktake}/bins/{bin}/done', { params: { path: { stocktake, bin } } }),
        ),
      ),
    );
    finishing = false;
  }

  $effect(() => {
    // the first part that is not counted, once the bin is there
    if (bin) void next('');
  });
  const general = $derived(work.refusal instanceof Refusal && !asked && !wrong ? work.refusal.message : '');
</script>

<section class="mt-3 max-w-3xl" aria-label="Bin {bin}">
  <div class="rule-below flex flex-wrap items-end justify-between gap-3 pb-2">
    <h2 class="text-lg">Bin <span class="font-mono text-2xl">{bin}</span></h2>
    <span class="text-quiet"
      ><span class="fig">{counted}</span> of <span class="fig">{lines.length}</span> counted</span
    >
  </div>
  <ul>
    {#each lines as line (line.part)}
      <li class="rule-below py-1.5">
        <label class="flex items-center justify-between gap-4">
          <span class="min-w-0 break-words"
            ><span
              aria-hidden="true"
              class={[line.counted === null ? 'text-quiet' : 'text-well', 'inline-block w-5']}
              >{line.counted === null ? '○' : '✓'}</span
            ><span class="font-semibold">{line.name}</span>
            <span class="fig text-sm text-quiet">{line.part}</span></span
          >
          <input
            bind:this={inputs[line.part]}
            class="field fig min-h-12 w-28 shrink-0 text-right text-lg"
            inputmode="numeric"
            autocomplete="off"
            aria-label="How many of {line.name}"
            aria-invalid={wrong?.part === line.part ? 'true' : undefined}
            value={typed[line.part] ?? (line.counted === null ? '' : String(line.counted))}
            oninput={(event) => (typed[line.part] = event.currentTarget.value)}
            onfocus={(event) => event.currentTarget.select()}
            onchange={() => count(line.part)}
            onkeydown={(event) => {
              if (event.key === 'Enter') {
                event.preventDefault();
                void count(line.part);
              }
            }}
          />
        </label>
        {#if wrong?.part === line.part}<p class="mt-1 text-right text-sm font-semibold text-out">
            ✕ {wrong.message}
          </p>{/if}
        {#if asked === line.part}
          <div class="mt-1 flex flex-wrap items-center justify-end gap-3">
            <p class="text-waiting">▢ {work.error('moved')}</p>
            <Button busy={work.busy} onclick={() => count(line.part, true)}>So many are there now</Button>
          </div>
        {/if}
      </li>
    {:else}
      <li class="py-2 text-quiet">Nothing should be in this bin. Scan what is in it all the same.</li>
    {/each}
  </ul>
  {#if general}<div class="mt-2"><Problem message={general} /></div>{/if}
  <div class="mt-3 flex flex-wrap items-end justify-between gap-3">
    <Form class="flex items-end gap-2" onsend={() => scan()}>
      <label class="block text-sm font-semibold"
        >Scan a part, or type its number
        <input bind:value={scanned} class="field mt-1 block w-56 font-mono font-normal" autocomplete="off" />
      </label>
      <Button type="submit" busy={work.busy}>Find it</Button>
    </Form>
    <div class="flex gap-2" bind:this={finish}>
      <Button kind="main" busy={finishing} onclick={done}>Bin {bin} is done</Button>
      <Button kind="quiet" onclick={() => left(null)}>Go on later</Button>
    </div>
  </div>
</section>
