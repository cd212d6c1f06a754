<script lang="ts">
  import { api, told } from '@/api/client';
  import type { CounterLine } from '@/api/types';
  import Button from '@/ui/Button.svelte';
  import { Work } from '@/ui/work.svelte';

  /** The printer itself is asked for its hours; nothing of it moves or heats. */
  let { tag, onnoted }: { tag: string; onnoted: (line: CounterLine) => unknown } = $props();
  const work = new Work();
  const ask = () =>
    work.do(async () =>
      onnoted(await told(api.POST('/machines/{tag}/counters/printer', { params: { path: { tag } } }))),
    );
</script>

<div>
  <Button kind="quiet" label="Ask the printer of {tag}" busy={work.busy} onclick={ask}
    >{work.busy ? 'Asking it…' : 'Ask the printer'}</Button
  >
  {#if work.refusal}<p role="alert" class="text-sm font-semibold text-out">✕ {work.refusal.message}</p>{/if}
</div>
