<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { keepJob } from '@/api/writes';
  import type { Job } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import { Signature, Signs } from '@/Shop';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import Dialog from '@/ui/Dialog.svelte';
  import Field from '@/ui/Field.svelte';
  import { day } from '@/ui/format';
  import Pick from '@/ui/Pick.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  let { job, tag }: { job: Job; tag: NonNullable<Job['redTag']> } = $props();

  const client = useQueryClient();
  const me = here();
  const work = new Work();
  const first = new Signs(me);
  const lead = new Signs(me, () => true);
  let asking = $state(false);
  let signing = $state(false);
  let second = $state(false);
  /** on a shared tablet a lead signs wherever somebody works */
  const leadSigns = $derived(me.person.isLead || lead.asked);
  let cause = $state('');
  let measurement = $state('');
  let check = $state('');
  let beside = $state('');

  const path = $derived({ params: { path: { job: job.id } } });
  const testName = $derived(
    me.words.poweredChecks.find((c) => c.code === tag.supervisedTest)?.name ?? tag.supervisedTest,
  );
  const ownSignature = $derived(tag.offAskedById === me.person.id);

  async function ask(): Promise<void> {
    const sent = await work.do(async () =>
      keepJob(
        client,
        await told(
          api.POST('/jobs/{job}/red-tag/off', { ...path, body: { cause, measurement, ...first.body() } }),
        ),
      ),
    );
    if (sent) asking = false;
  }

  async function sign(): Promise<void> {
    const sent = await work.do(async () =>
      keepJob(
        client,
        await told(
          api.POST('/jobs/{job}/red-tag/supervised-test', {
            ...path,
            body: { check, besideTheSwitch: beside, ...lead.body() },
          }),
        ),
      ),
    );
    if (sent) signing = false;
  }

  async function countersign(): Promise<void> {
    const sent = await work.do(async () =>
      keepJob(
        client,
        await told(api.POST('/jobs/{job}/red-tag/countersignature', { ...path, body: lead.body() })),
      ),
    );
    if (sent) second = false;
  }
</script>

<section
  class="hatch-edge mt-2 flex flex-wrap items-center gap-x-4 gap-y-2 bg-sheet px-3 py-2"
  aria-label="Red tag"
>
  <div class="min-w-60 flex-1">
    <p><strong class="text-red">Red tag: unplugged, no power.</strong> {tag.reason}</p>
    <p class="text-sm text-quiet">
      Put on by {tag.putOnBy}, {day(tag.putOnAt, me.zone)}.
      {#if tag.offAskedBy}First signature {tag.offAskedBy}: {tag.cause}; measured {tag.measurement}.{/if}
      {#if tag.supervisedTest}One supervised test signed by {tag.testSignedBy}: {testName}, {tag.besideTheSwitch}
        beside the switch{tag.testResult ? `. Done: ${tag.testResult}` : ', not done yet'}.{/if}
    </p>
  </div>
  {#if !job.finishedAt && me.person.worksAtTheBench}
    <div class="flex flex-wrap gap-2">
      {#if tag.offAskedBy && lead.asked}
        <Button kind="red" onclick={() => (second = true)}>A lead signs second</Button>
      {:else if tag.offAskedBy && me.person.isLead}
        <Button kind="red" busy={work.busy} disabled={ownSignature} onclick={countersign}>
          {ownSignature ? 'Another lead signs second' : 'Sign second: take it off'}
        </Button>
      {:else if tag.offAskedBy}
        <p class="self-center text-sm font-semibold text-red">A lead’s signature is wanted</p>
      {/if}
      <Button onclick={() => (asking = true)}>{tag.offAskedBy ? 'Sign anew' : 'Ask to take it off'}</Button>
      {#if leadSigns && !tag.supervisedTest}<Button onclick={() => (signing = true)}
          >One supervised test</Button
        >{/if}
    </div>
  {/if}
</section>
{#if work.refusal && !asking && !signing && !second}<div class="mt-2">
    <Problem message={work.refusal.message} />
  </div>{/if}

<Dialog bind:open={asking} title="Ask to take the red tag off">
  <Form class="grid gap-4" onsend={() => ask()}>
    <Field
      label="The cause, and how it was mended"
      bind:value={cause}
      rows={2}
      maxlength={500}
      error={work.error('cause')}
    />
    <Field
      label="The measurement that shows it is safe"
      bind:value={measurement}
      maxlength={200}
      hint="With figure and unit, such as 0.2 Ω from plug to frame"
      error={work.error('measurement')}
    />
    <Signature signs={first} error={work.error('pin')} />
    {#if work.refusal && !work.error('pin')}<Problem message={work.refusal.message} />{/if}
    <p class="text-sm text-quiet">You sign first. It comes off when a lead, another person, signs second.</p>
    <div><Button kind="red" type="submit" busy={work.busy}>Sign first</Button></div>
  </Form>
</Dialog>
<Dialog bind:open={signing} title="One supervised powered test">
  <Form class="grid gap-4" onsend={() => sign()}>
    <p class="text-sm text-waiting">
      △ Only when nothing but a powered test can give the measurement. Once, with somebody beside the switch.
    </p>
    <Pick
      label="Which test"
      items={me.words.poweredChecks}
      showAll
      onpick={(code) => (check = code)}
      error={work.error('check')}
    />
    <Field
      label="Who stands beside the switch"
      bind:value={beside}
      maxlength={120}
      error={work.error('besideTheSwitch')}
    />
    <Signature signs={lead} error={work.error('pin')} />
    {#if work.refusal && !work.error('pin')}<Problem message={work.refusal.message} />{/if}
    <div><Button kind="red" type="submit" busy={work.busy}>Sign for it</Button></div>
  </Form>
</Dialog>
<Dialog bind:open={second} title="Take the red tag off: second signature">
  <Form class="grid gap-4" onsend={() => countersign()}>
    <p>{tag.cause}; measured {tag.measurement}. First signature {tag.offAskedBy}.</p>
    <Signature signs={lead} error={work.error('pin')} />
    {#if work.refusal && !work.error('pin')}<Problem message={work.refusal.message} />{/if}
    <div><Button kind="red" type="submit" busy={work.busy}>Sign second: take it off</Button></div>
  </Form>
</Dialog>
