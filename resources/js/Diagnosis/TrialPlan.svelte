<script lang="ts">
  import { api, told } from '@/api/client';
  import Button from '@/ui/Button.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** A two-level plan, for those who change several settings at once: every combination, one print each. */
  let { job, planned = $bindable() }: { job: number; planned: Record<string, string>[] } = $props();

  const work = new Work();

  interface Row {
    setting: string;
    low: string;
    high: string;
  }
  const empty = (): Row => ({ setting: '', low: '', high: '' });
  let rows = $state<Row[]>([empty(), empty()]);
  const whole = $derived(
    rows.filter((row) => [row.setting, row.low, row.high].every((text) => text.trim() !== '')),
  );
  const prints = $derived(2 ** whole.length);

  const named = (of: 'low' | 'high') =>
    Object.fromEntries(whole.map((row) => [row.setting.trim().toLowerCase(), row[of].trim()]));

  const plan = () =>
    work.do(async () => {
      const answer = await told(
        api.POST('/jobs/{job}/trials/plan', {
          params: { path: { job } },
          body: { low: named('low'), high: named('high') },
        }),
      );
      planned = answer.prints;
    });
</script>

<details class="mt-5">
  <summary class="min-h-9 cursor-pointer py-1.5 text-sm font-semibold">Plan several settings at once</summary>
  <p class="text-sm text-quiet">
    Two values each, every combination printed once. It also shows which settings work together.
  </p>
  <div class="mt-2 grid gap-2">
    {#each rows as row, i (i)}
      <div class="grid grid-cols-[1fr_4.5rem_4.5rem] gap-1.5">
        <input
          class="field"
          aria-label="Setting {i + 1}"
          placeholder="setting"
          maxlength="40"
          bind:value={row.setting}
        />
        {#each ['low', 'high'] as const as end (end)}
          <input
            class="field px-2 text-right font-mono"
            aria-label="{end === 'low' ? 'Low' : 'High'} value of setting {i + 1}"
            placeholder={end}
            maxlength="20"
            bind:value={row[end]}
          />
        {/each}
      </div>
    {/each}
  </div>
  <div class="mt-2 flex flex-wrap items-center gap-2">
    {#if rows.length < 4}<Button kind="quiet" onclick={() => (rows = [...rows, empty()])}
        >one more setting</Button
      >{/if}
    <Button disabled={whole.length < 2} onclick={plan}
      >{whole.length < 2 ? 'Fill in two settings' : `Plan ${prints} prints`}</Button
    >
    {#if planned.length > 0}<Button kind="quiet" onclick={() => (planned = [])}>drop the plan</Button>{/if}
  </div>
  {#if work.refusal}<div class="mt-2"><Problem message={work.refusal.message} /></div>{/if}
</details>
