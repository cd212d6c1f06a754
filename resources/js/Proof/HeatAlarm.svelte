<script lang="ts">
  import { api, told } from '@/api/client';
  import { p } from '@/router';
  import { now } from '@/ui/now.svelte';
  import { ring } from '@/ui/ring';
  import { Work } from '@/ui/work.svelte';
  import { heat } from './heat.svelte';

  /** On every screen until the printer itself has said that it is off, or somebody that its plug is pulled. */
  let { may }: { may: boolean } = $props();

  const work = new Work();
  const alarms = $derived(heat.alarms);

  $effect(() => {
    if (alarms.length > 0) ring(now.ms);
  });

  const figures = (hotend: number | null, bed: number | null, age: number | null): string =>
    hotend === null
      ? 'no temperature was heard'
      : `hot end ${hotend.toFixed(0)} °C, bed ${(bed ?? 0).toFixed(0)} °C${age !== null && age > 3 ? `, ${age < 90 ? `${age.toFixed(0)} s` : `${(age / 60).toFixed(0)} min`} ago` : ''}`;
  const pulled = (job: number, run: number) =>
    work.do(async () => {
      await told(api.POST('/jobs/{job}/proof-run/{run}/unplugged', { params: { path: { job, run } } }));
      heat.forget(run);
    });
</script>

{#if alarms.length > 0}
  <div role="alert" class="hatch sticky top-0 z-50 px-3 py-2.5 md:px-5 print:hidden">
    {#each alarms as printer (printer.run)}
      <div class="flex flex-wrap items-center gap-x-4 gap-y-1 bg-red px-3 py-1.5">
        <strong class="text-lg">{printer.alarm}</strong>
        <span>
          {#if printer.job !== null}<a
              class="fig underline"
              href={p('/jobs/:id', { params: { id: String(printer.job) } })}>{printer.tag}</a
            >{:else}<span class="fig">{printer.tag}</span>{/if}
          at <span class="fig">{printer.printer}</span> · {figures(
            printer.hotendC,
            printer.bedC,
            printer.ageS,
          )}
        </span>
        {#if may && printer.job !== null}
          <button
            class="ml-auto min-h-11 rounded-sm border-2 border-white bg-white px-4 font-semibold text-red disabled:opacity-60"
            disabled={work.busy}
            onclick={() => printer.job !== null && pulled(printer.job, printer.run)}
            >Its plug is pulled</button
          >
        {/if}
      </div>
    {/each}
    {#if work.refusal}<p class="mt-1 bg-red px-3">{work.refusal.message}</p>{/if}
  </div>
{/if}
