<script lang="ts">
  import type { Step } from '@/api/types';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { number } from '@/ui/format';

  /** The measured value of a check; the server says what it stands for. */
  interface Props {
    step: Step;
    busy: boolean;
    measure: (check: string, value: number) => Promise<boolean>;
  }
  let { step, busy, measure }: Props = $props();

  let text = $state('');
  let wrong = $state<string | undefined>(undefined);

  async function send(): Promise<void> {
    const value = number(text);
    if (value === null) {
      wrong = 'Type a number, for example 81.5.';
      return;
    }
    wrong = undefined;
    if (await measure(step.code, value)) text = '';
  }
</script>

{#if step.reading}
  <Form class="mt-2 flex flex-wrap items-end gap-2" onsend={() => send()}>
    <div class="min-w-40 flex-1">
      <Field label={step.reading.ask} unit={step.reading.unit} numeric bind:value={text} error={wrong} />
    </div>
    <Button kind={text.trim() === '' ? 'plain' : 'main'} type="submit" {busy}>Measured</Button>
  </Form>
{/if}
