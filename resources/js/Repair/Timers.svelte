<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { keepJob } from '@/api/writes';
  import type { Timer } from '@/api/types';
  import { p } from '@/router';
  import { here } from '@/api/session.svelte';
  import Countdown from '@/ui/Countdown.svelte';
  import { now } from '@/ui/now.svelte';
  import { ring } from '@/ui/ring';

  /** Clocks that run, on every screen; one that is over rings until somebody stops it. */
  let { timers }: { timers: Timer[] } = $props();

  const client = useQueryClient();
  const me = here();
  const over = $derived(timers.filter((timer) => Date.parse(timer.ringsAt) <= now.ms));
  const running = $derived(timers.filter((timer) => Date.parse(timer.ringsAt) > now.ms).slice(0, 2));
  let quiet = $state(false);

  $effect(() => {
    if (over.length > 0 && !quiet) ring(now.ms);
  });
  $effect(() => {
    if (over.length === 0) quiet = false;
  });

  async function stop(timer: Timer): Promise<void> {
    keepJob(
      client,
      await told(
        api.DELETE('/jobs/{job}/timers/{timer}', { params: { path: { job: timer.job, timer: timer.id } } }),
      ),
    );
  }
</script>

{#each running as timer (timer.id)}
  <a
    href={p('/jobs/:id', { params: { id: String(timer.job) } })}
    class="hidden text-sm leading-tight text-quiet hover:text-ink md:block"
    title={timer.tag}
  >
    {timer.name}
    <Countdown until={timer.ringsAt} />
  </a>
{/each}
{#if over.length > 0}
  <div
    role="alert"
    class="fixed inset-x-0 bottom-0 z-40 border-t-4 border-waiting bg-waiting-wash px-5 py-3 text-waiting print:hidden"
  >
    {#each over as timer (timer.id)}
      <p class="flex flex-wrap items-center justify-center gap-x-4 gap-y-1">
        <strong>Time is up: {timer.name}</strong>
        <a class="fig underline" href={p('/jobs/:id', { params: { id: String(timer.job) } })}>{timer.tag}</a>
        <Countdown until={timer.ringsAt} atMost={timer.atMost} />
        {#if me.person.worksAtTheBench}
          <button
            class="min-h-11 rounded-sm border border-waiting bg-white px-4 font-semibold"
            onclick={() => stop(timer)}>Stop</button
          >
        {/if}
        {#if !quiet}<button class="min-h-11 px-2 text-sm underline" onclick={() => (quiet = true)}
            >quiet here</button
          >{/if}
      </p>
    {/each}
  </div>
{/if}
