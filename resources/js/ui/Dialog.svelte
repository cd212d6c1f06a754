<script lang="ts">
  import { Dialog } from 'bits-ui';
  import type { Snippet } from 'svelte';

  let {
    open = $bindable(false),
    title,
    children,
    wide = false,
  }: { open: boolean; title: string; children: Snippet; wide?: boolean } = $props();
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-ink/40" />
    <Dialog.Content
      class={[
        'fixed top-[8vh] left-1/2 z-50 max-h-[84vh] -translate-x-1/2 overflow-y-auto border border-edge bg-sheet p-5 shadow-lg',
        wide ? 'w-[min(70rem,96vw)]' : 'w-[min(34rem,94vw)]',
      ]}
    >
      <div class="mb-3 flex items-start justify-between gap-3">
        <Dialog.Title level={2} class="text-lg font-bold">{title}</Dialog.Title>
        <Dialog.Close class="min-h-9 px-2 text-sm text-quiet underline">Close</Dialog.Close>
      </div>
      {@render children()}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
