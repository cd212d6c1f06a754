<script lang="ts">
  import { api, told, wrong } from '@/api/client';
  import type { CounterLine } from '@/api/types';
  import Button from '@/ui/Button.svelte';
  import Check from '@/ui/Check.svelte';
  import Form from '@/ui/Form.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { number } from '@/ui/format';
  import { Work } from '@/ui/work.svelte';

  /** One field for what a counter shows. When that cannot be, the way out is offered where it is refused. */
  interface Props {
    tag: string;
    onnoted: (line: CounterLine) => unknown;
    field?: HTMLInputElement | undefined;
  }
  let { tag, onnoted, field = $bindable() }: Props = $props();

  const id = $props.id();
  const work = new Work();
  let typed = $state('');
  let beganAnew = $state(false);
  const refused = $derived(work.refusal?.message);

  async function send(): Promise<void> {
    if (typed.trim() === '') return;
    const done = await work.do(async () => {
      const shown = number(typed);
      if (shown === null) throw wrong('hours', `“${typed}” is no number of hours.`);
      const body = { hours: shown, beganAnew };
      onnoted(await told(api.POST('/machines/{tag}/counters', { params: { path: { tag } }, body })));
    });
    if (done) {
      typed = '';
      beganAnew = false;
    }
  }
</script>

<Form class="grid gap-1" onsend={send}>
  <div class="flex items-center gap-2">
    <label for={id} class="sr-only">Counter of {tag}, hours</label>
    <input
      {id}
      bind:this={field}
      bind:value={typed}
      inputmode="decimal"
      autocomplete="off"
      placeholder="it shows"
      class={['field w-32 font-mono', refused && 'border-2 border-out']}
      aria-invalid={refused ? 'true' : undefined}
      aria-describedby={refused ? `${id}-error` : undefined}
    />
    <span class="text-sm text-quiet">h</span>
    <Button kind="quiet" type="submit" busy={work.busy}>Note</Button>
  </div>
  {#if refused}
    <div id="{id}-error"><Problem message={refused} /></div>
    <Check bind:checked={beganAnew}>Its counter began anew: another board, or set back</Check>
  {/if}
</Form>
