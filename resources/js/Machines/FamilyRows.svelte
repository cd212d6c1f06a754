<script lang="ts">
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import type { Work } from '@/ui/work.svelte';
  import type { FamilyText } from './family';

  /** The names beside the sockets of its board, and what comes round on it in a rhythm of its own. */
  let { form, work }: { form: FamilyText; work: Work } = $props();
  const me = here();
</script>

<div class="grid gap-6 lg:grid-cols-2">
  <div>
    <h2 class="rule-below pb-1.5">
      Sockets <span class="ml-1 text-sm font-normal text-quiet">as printed on its board</span>
    </h2>
    <ul class="mt-1 grid gap-1">
      {#each form.sockets as row (row)}
        <li class="grid grid-cols-[6rem_minmax(0,1fr)_auto] gap-2">
          <input class="field font-mono" maxlength="12" aria-label="Socket" bind:value={row.name} />
          <select class="field" aria-label="What hangs on socket {row.name}" bind:value={row.subsystem}>
            <option value=""></option>
            {#each me.words.subsystems as one (one.code)}<option value={one.code}>{one.name}</option>{/each}
          </select>
          <Button
            kind="quiet"
            label="Take socket {row.name} away"
            onclick={() => (form.sockets = form.sockets.filter((one) => one !== row))}>away</Button
          >
        </li>
      {/each}
    </ul>
    {#if work.error('sockets')}<p class="text-sm font-semibold text-out">✕ {work.error('sockets')}</p>{/if}
    <p class="mt-2">
      <Button onclick={() => (form.sockets = [...form.sockets, { name: '', subsystem: '' }])}>One more</Button
      >
    </p>
  </div>
  <div>
    <h2 class="rule-below pb-1.5">
      Service <span class="ml-1 text-sm font-normal text-quiet">where its rhythm is not the usual one</span>
    </h2>
    <ul class="mt-1 grid gap-1">
      {#each form.service as row (row)}
        <li class="grid grid-cols-[minmax(0,1fr)_6rem_6rem_auto] gap-2">
          <select class="field" aria-label="Which work" bind:value={row.item}>
            <option value=""></option>
            {#each me.words.service as one (one.code)}<option value={one.code}>{one.name}</option>{/each}
          </select>
          <input
            class="field font-mono"
            inputmode="decimal"
            placeholder="hours"
            aria-label="Every so many hours"
            bind:value={row.hours}
          />
          <input
            class="field font-mono"
            inputmode="decimal"
            placeholder="months"
            aria-label="Every so many months"
            bind:value={row.months}
          />
          <Button
            kind="quiet"
            label="Take this rhythm away"
            onclick={() => (form.service = form.service.filter((one) => one !== row))}>away</Button
          >
        </li>
      {/each}
    </ul>
    {#if work.error('service')}<p class="text-sm font-semibold text-out">✕ {work.error('service')}</p>{/if}
    <p class="mt-2">
      <Button onclick={() => (form.service = [...form.service, { item: '', hours: '', months: '' }])}
        >One more</Button
      >
    </p>
  </div>
</div>
