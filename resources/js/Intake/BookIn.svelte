<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, Refusal, sendPhotograph, told, wrong } from '@/api/client';
  import { knowledgeQuery, machineQuery } from '@/api/queries';
  import { keepJob } from '@/api/writes';
  import { ComplaintReader } from '@/Diagnosis';
  import { held, OwnerField } from '@/Machines';
  import { PromiseOffer } from '@/Plan';
  import { navigate } from '@/router';
  import { here } from '@/api/session.svelte';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import Check from '@/ui/Check.svelte';
  import { Draft } from '@/ui/draft.svelte';
  import Field from '@/ui/Field.svelte';
  import { day, number } from '@/ui/format';
  import { smaller } from '@/ui/photograph';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import SumField from '@/ui/SumField.svelte';
  import { Work } from '@/ui/work.svelte';
  import Accessories from './Accessories.svelte';
  import { blank, booking, traitsOf, UNKNOWN } from './booking';
  import { kept, usual } from './cameAlong';
  import KnownHere from './KnownHere.svelte';
  import Pictures from './Pictures.svelte';
  import UnknownFamily from './UnknownFamily.svelte';
  import WhichMachine from './WhichMachine.svelte';

  const me = here();
  const client = useQueryClient();
  const work = new Work();

  // kept while it is typed, so that neither a reload nor a lost connection costs anything
  const draft = new Draft('book-in', blank());
  const form = draft.value;
  let beganAnew = $state(false);
  let pictures = $state<{ file: File; address: string }[]>([]);
  let complaint = $state<HTMLElement>();

  const cameAlong = $derived(kept(form.accessories));
  const traits = $derived(traitsOf(form));

  /** Enter goes on to the next field: scanners send it, and a machine is booked in by a press. */
  function goOn(event: KeyboardEvent): void {
    const from = event.target;
    if (event.key !== 'Enter' || !(from instanceof HTMLInputElement) || event.defaultPrevented) return;
    event.preventDefault();
    const fields = [
      ...(from.form?.querySelectorAll<HTMLElement>('input:not([type=file]), textarea, select') ?? []),
    ].filter((one) => one.offsetParent !== null);
    fields[fields.indexOf(from) + 1]?.focus();
  }
  const toComplaint = () => complaint?.querySelector('textarea')?.focus();

  /** The job is booked in; a picture that is not taken is said there, and can be taken again on its page. */
  async function sendPictures(job: number): Promise<void> {
    for (const { file } of pictures) await sendPhotograph(job, await smaller(file));
  }

  const fromAddress = new URLSearchParams(location.search).get('tag');
  if (fromAddress) {
    form.way = 'known';
    form.tag = fromAddress;
  }

  const typed = $derived(form.tag.replace(/[\s-]/g, ''));
  const machine = createQuery(() => ({
    ...machineQuery(form.tag.trim()),
    enabled: form.way === 'known' && typed.length >= 6,
  }));
  const known = $derived(form.way === 'known' ? machine.data : undefined);
  const tagProblem = $derived(
    work.error('tag') ??
      (form.way === 'known' && machine.error instanceof Refusal ? machine.error.message : undefined),
  );

  const kinds = [
    { code: 'repair', name: 'Repair' },
    { code: 'service', name: 'Service' },
    { code: 'upgrade', name: 'Upgrade' },
    { code: 'inspection', name: 'Inspection' },
    { code: 'refurbish', name: 'Refurbish for sale' },
  ] as const;

  const pressed = $derived(
    form.told.split(' ').flatMap((code) => me.words.findings.find((finding) => finding.code === code) ?? []),
  );
  const press = (codes: string[]) => (form.told = codes.slice(0, 12).join(' '));

  async function book(): Promise<void> {
    const isNew = form.way === 'new';
    const hours = form.hours.trim() === '' ? null : number(form.hours);
    const price = form.pricePaid.trim() === '' ? null : number(form.pricePaid);
    await work.do(async () => {
      if (!isNew && form.tag.trim() === '')
        throw wrong('tag', 'Scan or type the tag, or say that it is a new machine.');
      if (isNew && form.family === '') throw wrong('family', 'Which family is it?');
      if (form.hours.trim() !== '' && hours === null)
        throw wrong('hours', `“${form.hours}” is no number of hours.`);
      if (form.pricePaid.trim() !== '' && price === null)
        throw wrong('pricePaidMinor', `“${form.pricePaid}” is no price.`);
      if (form.began === '')
        throw wrong('began', 'When did it begin? One press is enough, also for “nobody knows”.');
      const codes = pressed.map((finding) => finding.code);
      const job = await told(api.POST('/jobs', { body: booking(form, codes, hours, price, beganAnew) }));
      draft.clear();
      keepJob(client, job);
      await sendPictures(job.id).catch(() => undefined);
      if (form.family === UNKNOWN.code)
        me.knowledge = await client.fetchQuery({ ...knowledgeQuery(), staleTime: 0 });
      else void client.invalidateQueries({ queryKey: ['owners'] });
      if (isNew) navigate('/machines/:tag/label', { params: { tag: job.machine.tag } });
      else navigate('/jobs/:id', { params: { id: String(job.id) } });
    });
  }
</script>

<svelte:head><title>Book in · Odd Bench</title></svelte:head>

<svelte:window onkeydown={goOn} />

<Form onsend={() => book()}>
  <main class="grid lg:min-h-[calc(100vh-7.6rem)] lg:grid-cols-[minmax(0,1fr)_330px]">
    <div class="grid content-start gap-4 px-4 py-4 md:px-5">
      <h1>Book in</h1>
      <div class="grid gap-4 md:grid-cols-[auto_1fr]">
        <Press
          label="Which machine"
          bind:value={form.way}
          choices={[
            { code: 'known', name: 'Known, it has a tag' },
            { code: 'new', name: 'New here' },
          ]}
        />
        {#if form.way === 'known'}
          <WhichMachine bind:tag={form.tag} error={tagProblem} onchosen={toComplaint} />
        {/if}
      </div>
      {#if form.way === 'new'}
        <div class="grid gap-4 border-l-4 border-wash pl-4">
          <Press
            label="Family"
            bind:value={form.family}
            choices={[...me.words.families.filter((one) => !one.unknown), UNKNOWN]}
            error={work.error('family')}
          />
          {#if form.family === UNKNOWN.code}<UnknownFamily
              bind:name={form.unknownName}
              {traits}
              error={work.error('unknownTraits')}
              ontraits={(seen) => (form.unknownTraits = JSON.stringify(seen))}
            />{/if}
          <div class="grid gap-4 md:grid-cols-2">
            <Press label="Whose is it" bind:value={form.heldAs} choices={held} error={work.error('heldAs')} />
            <Field label="Serial" bind:value={form.serial} mono maxlength={80} error={work.error('serial')} />
            {#if form.heldAs === 'owner'}
              <OwnerField
                bind:id={form.ownerId}
                bind:name={form.ownerName}
                bind:contact={form.ownerContact}
                bind:another={
                  () => form.ownerIsAnother !== '', (is) => (form.ownerIsAnother = is ? 'yes' : '')
                }
                {work}
              />
            {:else if form.heldAs === 'resale'}
              <SumField label="Price paid" bind:value={form.pricePaid} error={work.error('pricePaidMinor')} />
            {/if}
          </div>
        </div>
      {/if}
      <Press label="Kind of job" bind:value={form.kind} choices={kinds} error={work.error('kind')} />
      <div bind:this={complaint}>
        <Field
          label="Complaint, in the customer’s words"
          bind:value={form.complaint}
          rows={2}
          maxlength={2000}
          error={work.error('complaint')}
        />
      </div>
      <div class="-mt-3">
        <ComplaintReader
          text={form.complaint}
          family={form.way === 'known' ? (known?.machine.family ?? null) : form.family || null}
          known={new Set(pressed.map((finding) => finding.code))}
          onpress={(finding) => press([...pressed.map((one) => one.code), finding.code])}
        />
        {#if pressed.length > 0}
          <p class="mt-1.5 text-sm font-semibold">Put down with it</p>
          <ul class="flex flex-wrap gap-x-4">
            {#each pressed as finding (finding.code)}
              <li class="flex items-center gap-1.5 text-sm">
                <span class="text-action" aria-hidden="true">▲</span>{finding.name}
                <button
                  type="button"
                  class="min-h-9 px-1 text-quiet underline max-lg:min-h-11"
                  aria-label="Leave out: {finding.name}"
                  onclick={() =>
                    press(pressed.map((one) => one.code).filter((code) => code !== finding.code))}
                  >leave out</button
                >
              </li>
            {/each}
          </ul>
        {/if}
      </div>
      <Press
        label="When did it begin"
        bind:value={form.began}
        choices={me.words.began}
        error={work.error('began')}
      />
      <div class="grid gap-4 md:grid-cols-3">
        <Field
          label="Print hours on the counter"
          bind:value={form.hours}
          numeric
          unit="h"
          error={work.error('hours')}
        />
        <Field label="What the screen said" bind:value={form.screenSaid} maxlength={500} />
        <div>
          <Field
            label="Promised for"
            type="date"
            bind:value={form.promisedFor}
            error={work.error('promisedFor')}
          />
          {#if /^\d{4}-\d\d-\d\d$/.test(form.promisedFor)}<p class="mt-1 text-sm text-quiet">
              {day(`${form.promisedFor}T12:00:00Z`, 'UTC')}
            </p>{/if}
          <PromiseOffer
            family={form.way === 'known'
              ? (known?.machine.family ?? '')
              : form.family === UNKNOWN.code
                ? ''
                : form.family}
            findings={pressed.map((finding) => finding.code)}
            taken={form.promisedFor}
            onpick={(day) => (form.promisedFor = day)}
          />
        </div>
      </div>
      {#if work.error('hours') || beganAnew}
        <Check bind:checked={beganAnew}>Its counter began anew: another board, or set back</Check>
      {/if}
      <Accessories
        list={cameAlong}
        offered={usual(
          me.words,
          form.way === 'known' ? (known?.machine.family ?? null) : form.family || null,
        )}
        error={work.refusal?.errors.find((one) => one.field.startsWith('accessories'))?.message}
        onchange={(list) => (form.accessories = list.length === 0 ? '' : JSON.stringify(list))}
      />
      <Pictures bind:pictures />
      <div class="flex flex-wrap items-end gap-4">
        <Button kind="main" type="submit" busy={work.busy}>Book in</Button>
        {#if draft.kept}<Button kind="quiet" onclick={() => draft.clear()}>Start over</Button>{/if}
      </div>
      {#if work.refusal}<Problem message={work.refusal.message} />{/if}
    </div>
    <KnownHere {known} />
  </main>
</Form>
