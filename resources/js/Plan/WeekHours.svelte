<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told, wrong } from '@/api/client';
  import type { HoursOfDay } from '@/api/types';
  import Button from '@/ui/Button.svelte';
  import Form from '@/ui/Form.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** Hours of a week, a line for each day as people write them: “8:00–12:00, 12:45–17:00”. */
  let { person, week, name }: { person: number | null; week: readonly HoursOfDay[]; name: string } = $props();
  const client = useQueryClient();
  const work = new Work();
  const days = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
  let kept = $state(false);
  let lines = $derived(
    days.map((_, i) =>
      week
        .filter((one) => one.weekday === i + 1)
        .map((one) => `${one.opens}–${one.closes}`)
        .join(', '),
    ),
  );

  function typed(): HoursOfDay[] {
    return lines.flatMap((line, i) =>
      line
        .split(',')
        .map((part) => part.trim())
        .filter((part) => part !== '')
        .map((part) => {
          const [opens, closes, more] = part.split(/\s*(?:–|-|to)\s*/);
          if (!opens || !closes || more !== undefined)
            throw wrong(`day.${i}`, `“${part}” is no span of hours; such as 8:00–12:00.`);
          return { weekday: i + 1, opens, closes };
        }),
    );
  }

  async function send(): Promise<void> {
    kept = await work.do(async () => {
      client.setQueryData(
        ['calendar'],
        await told(api.PUT('/plan/hours', { body: { person, week: typed() } })),
      );
    });
  }

  const refused = $derived(work.refusal?.message);
</script>

<Form class="grid gap-1.5" onsend={send}>
  {#each days as day, i (day)}
    <label class="grid grid-cols-[48px_minmax(0,1fr)] items-center gap-2 text-sm">
      <span class="font-semibold">{day}</span>
      <input
        class="field font-mono"
        bind:value={() => lines[i] ?? '', (line) => (lines = lines.map((old, k) => (k === i ? line : old)))}
        maxlength={80}
        aria-label="{name}, {day}"
        placeholder={person === null ? 'shut' : ''}
      />
    </label>
  {/each}
  <Problem message={refused} />
  <div class="mt-1 flex items-center gap-3">
    <Button type="submit" busy={work.busy}>Keep</Button>
    {#if kept}<span class="text-sm font-semibold text-well" role="status">✓ kept</span>{/if}
  </div>
</Form>
