<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told, wrong } from '@/api/client';
  import { here } from '@/api/session.svelte';
  import { wrote } from '@/api/writes';
  import { navigate, p } from '@/router';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import { number } from '@/ui/format';
  import Form from '@/ui/Form.svelte';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';
  import OwnerField from './OwnerField.svelte';
  import { held } from './held';
  import { ownerBody } from './ownerBody';

  /** A machine that runs somewhere and has no job. */
  const me = here();
  const client = useQueryClient();
  const work = new Work();
  let family = $state('');
  let serial = $state('');
  let heldAs = $state<(typeof held)[number]['code']>('farm');
  let ownerId = $state('');
  let ownerName = $state('');
  let ownerContact = $state('');
  let another = $state(false);
  let hours = $state('');
  let notes = $state('');
  const left = $derived(
    work.leftover('family', 'serial', 'heldAs', 'ownerId', 'ownerName', 'hours', 'notes'),
  );

  const add = () =>
    work.do(async () => {
      const read = hours.trim() === '' ? null : number(hours);
      if (hours.trim() !== '' && read === null) throw wrong('hours', `“${hours}” is no number of hours.`);
      const owner = ownerBody(heldAs, ownerId, ownerName, ownerContact, another);
      const known = await told(
        api.POST('/machines', {
          body: { family, serial: serial || null, heldAs, ...owner, hours: read, notes: notes || null },
        }),
      );
      wrote(client, 'machine');
      navigate('/machines/:tag/label', { params: { tag: known.tag } });
    });
</script>

<svelte:head><title>Add a machine · Odd Bench</title></svelte:head>

<main class="px-4 py-4 md:px-5">
  <p class="text-sm"><a class="text-quiet underline" href={p('/machines')}>Machines</a></p>
  <h1>Add a machine</h1>
  <p class="mt-1 text-quiet">
    One that runs and is not broken. A broken one is booked in; many come by <a
      class="underline"
      href={p('/machines-in')}>table</a
    >.
  </p>
  <Form class="mt-4 grid max-w-3xl gap-4" onsend={add}>
    <Press label="Family" bind:value={family} choices={me.words.families} error={work.error('family')} />
    <Press label="Whose is it" bind:value={heldAs} choices={held} error={work.error('heldAs')} />
    <div class="grid gap-4 md:grid-cols-2">
      {#if heldAs === 'owner'}
        <OwnerField bind:id={ownerId} bind:name={ownerName} bind:contact={ownerContact} bind:another {work} />
      {/if}
      <Field label="Serial" bind:value={serial} mono maxlength={80} error={work.error('serial')} />
      <Field
        label="Print hours on the counter"
        bind:value={hours}
        numeric
        unit="h"
        error={work.error('hours')}
      />
    </div>
    <Field label="Notes" bind:value={notes} rows={2} maxlength={2000} error={work.error('notes')} />
    <Problem message={left} />
    <div><Button kind="main" type="submit" busy={work.busy}>Add it</Button></div>
  </Form>
</main>
