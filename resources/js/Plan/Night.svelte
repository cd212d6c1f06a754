<script lang="ts">
  import type { Today } from '@/api/types';
  import { clock } from '@/ui/format';
  import { p } from '@/router';
  import { long } from './ruler';

  /** What is started before everybody goes; at its hour it stands out. */
  let { plan, zone }: { plan: Today; zone: string } = $props();
  const due = $derived(plan.nightAt !== null && Date.parse(plan.nightAt) <= Date.parse(plan.now) + 3_600_000);
</script>

{#if plan.look.length > 0}
  <section
    aria-labelledby="look"
    class={[
      'mt-4 px-3 py-2',
      due ? 'border-l-4 border-out bg-out-wash text-out' : 'bg-waiting-wash text-waiting',
    ]}
  >
    <h2 id="look">Look before you go</h2>
    <ul class="text-sm">
      {#each plan.look as step (step.job)}
        <li>
          <a class="font-bold underline" href={p('/jobs/:id', { params: { id: String(step.job) } })}
            >{step.tag}</a
          >
          {step.what}: it goes on until {clock(step.until ?? '', zone)}, after closing. {step.because}
        </li>
      {/each}
    </ul>
    <p class="text-sm">What is hot is switched off, or somebody stays.</p>
  </section>
{/if}
{#if plan.nightAt && (plan.night.length > 0 || plan.notAtNight.length > 0)}
  <section
    aria-labelledby="night"
    class={[
      'mt-4 px-3 py-2 text-waiting',
      due ? 'border-l-4 border-waiting bg-waiting-wash' : 'bg-waiting-wash',
    ]}
  >
    <h2 id="night">Start before you go, {clock(plan.nightAt, zone)}</h2>
    <ul class="text-sm">
      {#each plan.night as step (step.job)}
        <li>
          <strong>{step.tag}</strong>
          {#if step.until}{step.what}: it goes on until {clock(step.until, zone)}{:else}{step.what}: {step.hands}
            min of hands, then {long(step.alone)} by itself{/if}
        </li>
      {:else}
        <li>Nothing has earned it.</li>
      {/each}
      {#each plan.notAtNight.slice(0, 4) as step (step.job)}
        <li class="text-ink">Not <strong>{step.tag}</strong> {step.what}: {step.because}</li>
      {/each}
    </ul>
  </section>
{/if}
