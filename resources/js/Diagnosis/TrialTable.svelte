<script lang="ts">
  import type { Trials } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import { clock } from '@/ui/format';
  import { unitOf } from './settingUnits';

  /** The trials one under the other; what changed since the last one is marked. */
  interface Props {
    trials: Trials;
    may: boolean;
    busy: boolean;
    withdraw: (trial: number) => Promise<boolean>;
  }
  let { trials, may, busy, withdraw }: Props = $props();

  const me = here();
</script>

{#if trials.trials.length === 0}
  <p class="max-w-prose text-quiet">
    Print a small piece that shows the trouble, rate it, change one setting, print it again. The table marks
    what changed, warns when two things did, and names the setting that matters once the better and the worse
    one were printed again: one print against one may be chance.
  </p>
{:else}
  <div class="overflow-x-auto">
    <table class="w-full text-left">
      <thead class="text-sm text-quiet">
        <tr class="rule-below">
          <th class="py-1 pr-3 font-normal">trial</th>
          {#each trials.settings as setting (setting)}<th class="px-2 text-right font-normal"
              >{setting}{unitOf(me.words.settings, setting) === ''
                ? ''
                : `, ${unitOf(me.words.settings, setting)}`}</th
            >{/each}
          <th class="px-2 font-normal">rating</th>
          <th class="px-2 font-normal">photo, note</th>
          <th><span class="sr-only">withdraw</span></th>
        </tr>
      </thead>
      <tbody>
        {#each trials.trials as trial (trial.number)}
          <tr class={['rule-below', trials.best === trial.number && 'bg-well-wash']}>
            <td class="py-1.5 pr-3 align-top"
              ><span class="fig font-semibold">{trial.number}</span>
              <span class="text-sm text-quiet">{clock(trial.at, me.zone)}</span></td
            >
            {#each trials.settings as setting (setting)}
              {@const changed = trial.changed.includes(setting)}
              <td class="px-2 py-1.5 text-right align-top">
                <span
                  class={[
                    'fig inline-block px-1',
                    changed &&
                      (trial.changed.length > 1
                        ? 'bg-waiting-wash font-bold text-waiting'
                        : 'bg-wash font-bold text-action'),
                  ]}
                  title={changed ? 'changed since the trial before' : undefined}
                  >{#if changed}<span aria-label="changed">{trial.changed.length > 1 ? '△' : '▸'}</span>
                  {/if}{trial.settings[setting] ?? '–'}</span
                >
              </td>
            {/each}
            <td class="px-2 py-1.5 align-top whitespace-nowrap">
              <span aria-label="{trial.rating} of 5" class="tracking-tight"
                ><span class="text-action">{'■'.repeat(trial.rating)}</span><span class="text-line"
                  >{'■'.repeat(5 - trial.rating)}</span
                ></span
              >
              <span class="fig">{trial.rating}</span>
              {#if trials.best === trial.number}<span class="text-sm text-well">best</span>{/if}
            </td>
            <td class="px-2 py-1.5 align-top text-sm">
              {#if trial.photograph}
                <a href={trial.photograph.url} target="_blank" rel="noopener">
                  <img
                    src={trial.photograph.url}
                    alt="Trial {trial.number}"
                    class="mr-2 inline-block h-12 w-16 border border-line object-cover"
                  /></a
                >
              {/if}
              {trial.stopped ? 'stopped early. ' : ''}{trial.bandFromMm !== null
                ? `${trial.bandFromMm} to ${trial.bandToMm} mm. `
                : ''}{trial.note ?? ''}
              {#if trial.warning}<span class="block font-semibold text-waiting">△ {trial.warning}</span>{/if}
            </td>
            <td class="py-1 text-right align-top">
              {#if may}<Button
                  kind="quiet"
                  {busy}
                  label="Withdraw trial {trial.number}"
                  onclick={() => withdraw(trial.number)}>withdraw</Button
                >{/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
{/if}
