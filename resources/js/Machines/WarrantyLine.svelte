<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { wrote } from '@/api/writes';
  import type { Passport } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { day } from '@/ui/format';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  let { passport }: { passport: Passport } = $props();

  const client = useQueryClient();
  const me = here();
  const work = new Work();
  let editing = $state(false);
  let by = $state<'maker' | 'seller' | ''>('');
  let until = $state('');
  let note = $state('');

  function edit(): void {
    by = passport.warranty?.by ?? 'maker';
    until = passport.warranty?.until ?? '';
    note = passport.warranty?.note ?? '';
    editing = true;
  }

  async function keep(none: boolean): Promise<void> {
    const kept = await work.do(async () => {
      await told(
        api.PUT('/machines/{tag}/warranty', {
          params: { path: { tag: passport.machine.tag } },
          body: none
            ? { by: null, until: null, note: null }
            : { by: by || null, until: until || null, note: note.trim() || null },
        }),
      );
      wrote(client, 'machine');
    });
    if (kept) editing = false;
  }
</script>

{#if editing}
  <Form class="mt-3 grid max-w-md gap-2.5 border-l-4 border-wash pl-4" onsend={() => keep(false)}>
    <Press
      label="Whose warranty"
      bind:value={by}
      choices={[
        { code: 'maker', name: 'its maker’s' },
        { code: 'seller', name: 'its seller’s' },
      ]}
      error={work.error('by')}
    />
    <Field label="Until" type="date" bind:value={until} error={work.error('until')} />
    <Field label="Note, e.g. invoice number" bind:value={note} maxlength={200} error={work.error('note')} />
    {#if work.refusal && work.refusal.errors.length === 0}<Problem message={work.refusal.message} />{/if}
    <div class="flex gap-2">
      <Button kind="main" type="submit" busy={work.busy}>Keep</Button>
      {#if passport.warranty}<Button busy={work.busy} onclick={() => keep(true)}>No warranty</Button>{/if}
      <Button kind="quiet" onclick={() => (editing = false)}>Not now</Button>
    </div>
  </Form>
{:else}
  <p class="mt-2 text-sm">
    {#if passport.warranty}
      <span class={passport.warranty.runs ? 'font-semibold text-waiting' : 'text-quiet'}
        >{passport.warranty.runs ? '△ Guaranteed' : 'Was guaranteed'} by its {passport.warranty.by} until {day(
          passport.warranty.until,
          me.zone,
        )}</span
      >
      {passport.warranty.note ?? ''}
    {/if}
    {#if me.person.meetsOwners}<button class="min-h-9 text-quiet underline" onclick={edit}
        >{passport.warranty ? 'Correct' : 'Note a warranty'}</button
      >{/if}
  </p>
{/if}
