<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, told, wrong } from '@/api/client';
  import { here } from '@/api/session.svelte';
  import type { Known } from '@/api/types';
  import { wrote } from '@/api/writes';
  import Button from '@/ui/Button.svelte';
  import Dialog from '@/ui/Dialog.svelte';
  import Check from '@/ui/Check.svelte';
  import Field from '@/ui/Field.svelte';
  import Form from '@/ui/Form.svelte';
  import { places } from '@/ui/places';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import Select from '@/ui/Select.svelte';
  import { Work } from '@/ui/work.svelte';
  import OwnerField from './OwnerField.svelte';
  import { held } from './held';
  import { ownerBody } from './ownerBody';

  /** What is known of a machine, edited by hand; each change becomes a line of its timeline. */
  let { tag, open = $bindable() }: { tag: string; open: boolean } = $props();

  const client = useQueryClient();
  const work = new Work();
  const known = createQuery(() => ({
    queryKey: ['machine', tag, 'known'],
    queryFn: () => told(api.GET('/machines/{tag}/known', { params: { path: { tag } } })),
    enabled: open,
    staleTime: 0,
  }));
  const me = here();
  const it = $derived(known.data);
  /** nobody has written its family down: it can be given one */
  const unknown = $derived(me.words.families.find((one) => one.code === it?.family)?.unknown ?? true);
  let form = $state<Known | null>(null);
  let ownerId = $state('');
  let ownerName = $state('');
  let ownerContact = $state('');
  let another = $state(false);
  let port = $state('');
  const FIELDS = [
    'family',
    'serial',
    'heldAs',
    'ownerId',
    'ownerName',
    'place',
    'printerHost',
    'printerPort',
    'notes',
  ] as const;
  const left = $derived(work.leftover(...FIELDS));

  $effect(() => {
    if (!open) form = null;
    else if (known.data && form === null && !known.isFetching) {
      form = {
        ...known.data,
        serial: known.data.serial ?? '',
        printerHost: known.data.printerHost ?? '',
        notes: known.data.notes ?? '',
      };
      ownerId = known.data.ownerId === null ? '' : String(known.data.ownerId);
      ownerName = known.data.ownerName ?? '';
      ownerContact = '';
      port = known.data.printerPort === null ? '' : String(known.data.printerPort);
      work.refusal = null;
    }
  });

  async function keep(): Promise<void> {
    const it = form;
    if (!it) return;
    const kept = await work.do(async () => {
      if (port.trim() !== '' && !/^\d+$/.test(port.trim()))
        throw wrong('printerPort', 'A port is a number, such as 8080.');
      const owner = ownerBody(it.heldAs, ownerId, ownerName, ownerContact, another);
      await told(
        api.PUT('/machines/{tag}/known', {
          params: { path: { tag } },
          body: {
            family: it.family,
            serial: it.serial || null,
            heldAs: it.heldAs,
            ...owner,
            place: it.place,
            printerHost: it.printerHost || null,
            printerPort: port.trim() === '' ? null : Number(port),
            notes: it.notes || null,
            printsAbrasive: it.printsAbrasive,
            printsHot: it.printsHot,
            seen: it.seen,
          },
        }),
      );
      wrote(client, 'machine');
    });
    if (kept) open = false;
  }
</script>

<Dialog bind:open title="What is known of {tag}">
  {#if form}
    <Form class="grid gap-4" onsend={keep}>
      {#if unknown}<Select
          label="Its family"
          bind:value={form.family}
          choices={me.words.families.filter((one) => !one.unknown || one.code === it?.family)}
          error={work.error('family')}
          class="w-full"
        />{/if}
      <Press label="Whose is it" bind:value={form.heldAs} choices={held} error={work.error('heldAs')} />
      {#if form.heldAs === 'owner'}
        <OwnerField bind:id={ownerId} bind:name={ownerName} bind:contact={ownerContact} bind:another {work} />
      {/if}
      <div class="grid grid-cols-2 gap-4">
        <Field
          label="Serial"
          bind:value={form.serial as string}
          mono
          maxlength={80}
          error={work.error('serial')}
        />
        <Select
          label="Where it is"
          bind:value={form.place as string}
          choices={Object.entries(places).map(([code, name]) => ({ code, name }))}
          error={work.error('place')}
          class="w-full"
        />
        <Field
          label="Printer or bridge"
          bind:value={form.printerHost as string}
          mono
          maxlength={120}
          hint="for proof runs, such as 192.168.1.40"
          error={work.error('printerHost')}
        />
        <Field label="Its port" bind:value={port} mono maxlength={5} error={work.error('printerPort')} />
      </div>
      <div class="flex flex-wrap gap-x-6">
        <Check bind:checked={form.printsAbrasive}>prints filled filament as a rule (it wears nozzles)</Check>
        <Check bind:checked={form.printsHot}>prints above 250 °C as a rule</Check>
      </div>
      <Field
        label="Notes"
        bind:value={form.notes as string}
        rows={3}
        maxlength={2000}
        error={work.error('notes')}
      />
      <Problem message={left} />
      <div class="flex items-center gap-4">
        <Button kind="main" type="submit" busy={work.busy}>Keep</Button>
        <span class="text-sm text-quiet">each change becomes a line of its timeline</span>
      </div>
    </Form>
  {:else if known.isError}<p role="alert" class="text-out">✕ {known.error.message}</p>
  {:else}<p role="status" class="text-quiet">Fetching…</p>{/if}
</Dialog>
