<script lang="ts">
  import { api, told } from '@/api/client';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import Form from '@/ui/Form.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** Six digits for tablets that others use too. */
  const me = here();
  const work = new Work();
  let current = $state('');
  let pin = $state('');
  let kept = $state(false);
  const left = $derived(work.leftover('current', 'pin'));

  async function send(): Promise<void> {
    kept = await work.do(async () => {
      me.session = await told(api.PUT('/session/pin', { body: { current, pin } }));
    });
    if (kept) current = pin = '';
  }
</script>

<Form class="grid gap-4" onsend={send}>
  <p class="text-sm text-quiet">
    On a tablet that others use too, six digits take it over from whoever was there, and sign. {me.person
      .hasPin
      ? 'You have a PIN; a new one takes its place.'
      : 'You have none yet.'}
  </p>
  <Field
    label="Your password"
    type="password"
    bind:value={current}
    autocomplete="current-password"
    error={work.error('current')}
  />
  <Field
    label="PIN"
    type="password"
    bind:value={pin}
    mono
    inputmode="numeric"
    maxlength={6}
    hint="six digits without a row in them"
    autocomplete="off"
    error={work.error('pin')}
  />
  <Problem message={left} />
  <div class="flex items-center gap-3">
    <Button kind="main" type="submit" busy={work.busy}>Set the PIN</Button>
    {#if kept}<span role="status" class="text-sm font-semibold text-well">✓ set</span>{/if}
  </div>
</Form>
