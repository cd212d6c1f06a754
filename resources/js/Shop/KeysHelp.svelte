<script lang="ts">
  import Dialog from '@/ui/Dialog.svelte';
  import Check from '@/ui/Check.svelte';
  import { singleKeys } from '@/ui/singleKeys.svelte';

  let { open = $bindable(false) }: { open: boolean } = $props();

  const keys = [
    ['/', 'scan or type'],
    ['b', 'book in'],
    ['g b', 'to the bench'],
    ['g m', 'to the machines'],
    ['g s', 'to the shelf'],
    ['g l', 'to the ledger'],
    ['g u', 'to the guides'],
    ['i', 'to the instruments'],
    ['j k', 'move in a list'],
    ['enter', 'open'],
    ['f 1…9', 'add a finding: type it, or the digit of a likely one'],
    ['p', 'point at the machine'],
    ['y n c', 'answer the check: yes, no, can’t tell'],
    ['t', 'something comes off: onto the tray'],
    ['u', 'use a part'],
    ['?', 'these keys'],
  ] as const;
</script>

<Dialog bind:open title="Keys">
  <dl class="grid grid-cols-[auto_1fr] items-center gap-x-5 gap-y-2">
    {#each keys as [key, words] (key)}
      <dt>
        <kbd
          class="rounded-sm border border-line bg-white px-1.5 font-mono text-[0.8125rem] leading-5 text-quiet"
          >{key}</kbd
        >
      </dt>
      <dd>{words}</dd>
    {/each}
  </dl>
  <p class="mt-4 text-sm text-quiet">Single keys rest while you type in a field.</p>
  <Check bind:checked={() => singleKeys.on, (on) => singleKeys.set(on)}>Single keys work on this device</Check
  >
</Dialog>
