<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { untrack } from 'svelte';
  import { api, told } from '@/api/client';
  import { campaignsQuery } from '@/api/queries';
  import type { Campaign } from '@/api/types';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import Form from '@/ui/Form.svelte';
  import Problem from '@/ui/Problem.svelte';
  import Select from '@/ui/Select.svelte';
  import { Work } from '@/ui/work.svelte';

  /** Who looks, by when, and what puts it right once that is known. */
  let { campaign, onkept }: { campaign: Campaign; onkept: (now: Campaign) => void } = $props();

  const work = new Work();
  const campaigns = createQuery(() => campaignsQuery());
  let assignedTo = $state(untrack(() => String(campaign.assignedTo ?? '')));
  let dueOn = $state(untrack(() => campaign.dueOn ?? ''));
  let mend = $state(untrack(() => campaign.mend ?? ''));

  const keep = () =>
    work.do(async () =>
      onkept(
        await told(
          api.PUT('/campaigns/{campaign}', {
            params: { path: { campaign: campaign.id } },
            body: {
              assignedTo: assignedTo ? Number(assignedTo) : null,
              dueOn: dueOn || null,
              mend: mend.trim() || null,
            },
          }),
        ),
      ),
    );
</script>

<Form
  class="mt-2 grid gap-3 border-l-4 border-wash pl-4 sm:grid-cols-[11rem_11rem_minmax(0,1fr)]"
  onsend={keep}
>
  <Select
    label="By whom"
    bind:value={assignedTo}
    none="whoever is free"
    choices={(campaigns.data?.people ?? []).map((one) => ({ code: String(one.id), name: one.name }))}
    error={work.error('assignedTo')}
  />
  <Field label="Done by" type="date" bind:value={dueOn} error={work.error('dueOn')} />
  <Field label="What puts it right" bind:value={mend} maxlength={400} error={work.error('mend')} />
  <div class="sm:col-span-3">
    <Problem message={work.leftover('assignedTo', 'dueOn', 'mend')} />
    <Button type="submit" busy={work.busy}>Keep</Button>
  </div>
</Form>
