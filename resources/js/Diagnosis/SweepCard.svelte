<script lang="ts">
  import type { Step } from '@/api/types';
  import Button from '@/ui/Button.svelte';
  import { minutes, percent } from '@/ui/format';
  import { onKeys } from '@/ui/keys';
  import Key from '@/ui/Key.svelte';

  /** Several quick looks made in one go: ticked together, written down at once. */
  interface Props {
    step: Step;
    can: boolean;
    busy: boolean;
    record: (findings: Record<string, boolean>, checks: string[]) => Promise<boolean>;
    cannotTell: (check: string) => Promise<boolean>;
  }
  let { step, can, busy, record, cannotTell }: Props = $props();

  let seen = $state<Record<string, boolean>>({});

  interface Tick {
    code: string;
    name: string;
    leads: string;
  }
  const leads = (answer: Step['answers'][number] | undefined): string => {
    const most = answer?.leadsTo[0];
    return most ? `${most.name} ${percent(most.probability)}\u00a0%` : '';
  };
  const ticks = (look: Step): Tick[] =>
    look.finding
      ? [
          {
            code: look.finding,
            name: look.asks ?? '',
            leads: leads(look.answers.find((a) => a.answer === 'present')),
          },
        ]
      : look.answers
          .filter((a) => !['none', 'several'].includes(a.answer))
          .map((a) => ({ code: a.answer, name: a.name, leads: leads(a) }));
  const anySeen = $derived(step.looks.some((look) => ticks(look).some((tick) => seen[tick.code])));

  async function answer(): Promise<void> {
    if (!can || busy) return;
    const told = Object.fromEntries(
      step.looks.flatMap((look) => ticks(look).map((tick) => [tick.code, seen[tick.code] === true])),
    );
    if (
      await record(
        told,
        step.looks.map((look) => look.code),
      )
    )
      seen = {};
  }

  $effect(() => onKeys({ n: () => !anySeen && void answer() }));
</script>

<fieldset class="mt-1.5 grid gap-2" disabled={!can}>
  <legend class="sr-only">What is there? Tick it.</legend>
  {#each step.looks as look (look.code)}
    <div class="border-t border-line pt-1.5">
      <div class="flex items-baseline justify-between gap-2">
        <h4 class="leading-snug font-semibold">{look.name}</h4>
        {#if can}<button
            type="button"
            class="min-h-8 shrink-0 text-sm text-quiet underline max-lg:min-h-11"
            onclick={() => cannotTell(look.code)}
            disabled={busy}
            aria-label="Can’t tell: {look.name}">can’t tell</button
          >{/if}
      </div>
      {#each look.cautions as caution (caution)}<p class="text-sm leading-snug text-waiting">
          △ {caution}
        </p>{/each}
      {#each ticks(look) as tick (tick.code)}
        <label class="flex min-h-9 items-center gap-2 leading-tight max-lg:min-h-11">
          <input type="checkbox" class="size-5 shrink-0 accent-action" bind:checked={seen[tick.code]} />
          <span
            >{tick.name}
            {#if tick.leads}<span class="text-sm text-quiet">→ {tick.leads}</span>{/if}</span
          >
        </label>
      {/each}
      <details class="text-sm">
        <summary class="min-h-7 cursor-pointer py-0.5 text-quiet"
          >how, <span class="fig">{minutes(look.minutes)}</span> min</summary
        >
        <ol class="steps grid gap-0.5">
          {#each look.steps as line (line)}<li>{line}</li>{/each}
        </ol>
      </details>
    </div>
  {/each}
</fieldset>
{#if can}
  <div class="mt-2">
    <Button kind="main" {busy} onclick={answer}
      >{anySeen ? 'These, and not the others' : 'None of these'}{#if !anySeen}<Key light>n</Key>{/if}</Button
    >
  </div>
{/if}
