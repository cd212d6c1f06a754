<script lang="ts">
  import { api, told } from '@/api/client';
  import type { JobMoney } from '@/api/types';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import Field from '@/ui/Field.svelte';
  import Form from '@/ui/Form.svelte';
  import { clock, day, money as sum, percent } from '@/ui/format';
  import Press from '@/ui/Press.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';
  import AnswerForm from './AnswerForm.svelte';
  import EstimateStrip from './EstimateStrip.svelte';
  import { type Way, wayName, ways } from './sums';

  /** What the job will come to; sent it is frozen, and the owner’s answer is kept with it. */
  let { money, keep, open }: { money: JobMoney; keep: (money: JobMoney) => void; open: boolean } = $props();

  const me = here();
  const work = new Work();
  const path = $derived({ params: { path: { job: money.job } } });
  let sending = $state(false);
  let withdrawing = $state(false);
  let way = $state<Way>('phone');
  let because = $state('');
  let copied = $state(false);
  const standing = $derived(money.sent.find((one) => one.stands));
  const estimate = $derived(money.estimate);

  const send = () =>
    work.do(async () => {
      keep(
        await told(
          api.POST('/jobs/{job}/estimates', {
            ...path,
            body: { way, upToFinding: estimate?.upToFinding ?? 0 },
          }),
        ),
      );
      sending = false;
    });
  const withdraw = () =>
    work.do(async () => {
      keep(await told(api.DELETE('/jobs/{job}/estimates', { ...path, body: { because } })));
      withdrawing = false;
      because = '';
    });
  async function copy(text: string): Promise<void> {
    try {
      await navigator.clipboard.writeText(text);
      copied = true;
    } catch {
      // where the browser does not let a page copy, the text can be marked by hand
    }
  }
</script>

<section aria-labelledby="estimate">
  <h2 id="estimate" class="rule-below pb-1.5">What it will cost</h2>
  {#if money.against}<p class="mt-2 border-l-4 border-waiting bg-waiting-wash px-3 py-2 text-waiting">
      ▢ {money.against}
    </p>{/if}
  {#if estimate}
    <EstimateStrip {estimate} currency={me.currency} />
    {#if estimate.certain.length > 0 || estimate.open.length > 0}<p class="mt-2 text-sm">
        {#if estimate.certain.length > 0}<span class="text-well"
            >✓ Certain: {estimate.certain.join(', ')}.</span
          >{/if}
        {#if estimate.open.length > 0}<span class="text-quiet"
            >Not certain{estimate.certain.length > 0 ? ', perhaps besides' : ', it may be'}: {estimate.open.join(
              ', ',
            )}.</span
          >{/if}
      </p>{/if}
    <div class="overflow-x-auto">
      <table class="mt-2 w-full text-sm">
        <thead>
          <tr class="text-left text-quiet">
            <th class="py-1 pr-3 font-normal">How it may turn out</th>
            <th class="px-2 text-right font-normal">of 100</th>
            <th class="px-2 text-right font-normal">hands</th>
            <th class="px-2 text-right font-normal">parts</th>
            <th class="pl-2 text-right font-normal">{estimate.taxPct > 0 ? 'with tax' : 'together'}</th>
          </tr>
        </thead>
        <tbody>
          {#each estimate.lines as line, i (i)}
            <tr class="border-t border-line">
              <td class="py-1 pr-3">{line.what}</td>
              <td class="fig px-2 text-right">{percent(line.probability)}</td>
              <td class="px-2 text-right whitespace-nowrap"
                ><span class="fig">{line.minutes}</span> <span class="text-quiet">min</span></td
              >
              <td class="fig px-2 text-right whitespace-nowrap">{sum(line.partsMinor, me.currency)}</td>
              <td class="fig pl-2 text-right font-semibold whitespace-nowrap"
                >{sum(line.sumMinor, me.currency)}</td
              >
            </tr>
          {/each}
          {#if estimate.others > 0}
            <tr class="border-t border-line text-quiet">
              <td class="py-1 pr-3">{estimate.others} further ways, two or three faults at once among them</td
              >
              <td class="fig px-2 text-right">{percent(estimate.othersProbability)}</td>
              <td colspan="3"></td>
            </tr>
          {/if}
        </tbody>
      </table>
    </div>
    <p class="mt-2 text-sm text-quiet">
      {estimate.because} Finding out takes <span class="fig">{estimate.findMinutes}</span> min of it; a minute
      is charged at {sum(estimate.minuteMinor, me.currency)}{estimate.taxPct > 0
        ? `, tax ${estimate.taxPct} %`
        : ''}{estimate.minimumMinor > 0 ? `, at least ${sum(estimate.minimumMinor, me.currency)}` : ''}. It
      moves with each finding.
    </p>
  {:else}
    <p class="mt-2 text-quiet">
      Nothing yet: as soon as Find knows what it does, the estimate stands here and moves with each finding.
    </p>
  {/if}
  {#if money.heldAs === 'owner' && !money.bill && open}
    <div class="mt-3 flex flex-wrap items-center gap-3">
      {#if estimate && !sending}<Button
          kind={standing ? 'plain' : 'main'}
          onclick={() => {
            sending = true;
            withdrawing = false;
            work.refusal = null;
          }}>{standing ? 'Ask again…' : 'Send it to the owner…'}</Button
        >{/if}
      {#if standing && !withdrawing}<Button
          kind="quiet"
          onclick={() => {
            withdrawing = true;
            sending = false;
            work.refusal = null;
          }}>Nobody is asked any more…</Button
        >{/if}
    </div>
    {#if sending}
      <Form class="mt-2 grid gap-3 border-l-4 border-wash pl-4" onsend={send}>
        <label class="block text-sm font-semibold" for="letter">What is said</label>
        <textarea id="letter" class="field text-sm" rows="8" readonly>{money.letter}</textarea>
        <div class="flex flex-wrap items-center gap-3">
          <Button onclick={() => copy(money.letter ?? '')}>Copy the text</Button>
          {#if copied}<span class="text-sm font-semibold text-well" role="status">✓ copied</span>{/if}
          {#if money.page}<a
              class="text-sm text-action underline"
              href={money.page}
              target="_blank"
              rel="noopener">the page behind the label</a
            >{/if}
        </div>
        <Press label="How it goes" bind:value={way} choices={ways} />
        {#if work.refusal}<Problem message={work.refusal.message} />{/if}
        <div class="flex gap-3">
          <Button kind="main" type="submit" busy={work.busy}>It is sent; wait for the answer</Button>
          <Button kind="quiet" onclick={() => (sending = false)}>Not now</Button>
        </div>
      </Form>
    {/if}
    {#if withdrawing}
      <Form class="mt-2 grid max-w-xl gap-3 border-l-4 border-wash pl-4" onsend={withdraw}>
        <Field
          label="Why: the shop bears what is over"
          bind:value={because}
          maxlength={300}
          focus
          error={work.error('because')}
        />
        <Problem message={work.leftover('because')} />
        <div class="flex gap-3">
          <Button type="submit" busy={work.busy}>Withdraw the estimate</Button>
          <Button kind="quiet" onclick={() => (withdrawing = false)}>Not now</Button>
        </div>
      </Form>
    {/if}
  {/if}
  {#if money.sent.length > 0}
    <ul class="mt-4">
      {#each money.sent as sent (sent.id)}
        <li class="rule-below py-2">
          <p class="flex flex-wrap items-baseline gap-x-3">
            <span class="font-semibold">Estimate <span class="fig">{sent.number}</span></span>
            <span
              >about <span class="fig">{sum(sent.expectedMinor, me.currency)}</span>,
              {sent.inTen} of 10 up to <span class="fig">{sum(sent.ceilingMinor, me.currency)}</span></span
            >
            <span class="text-sm text-quiet"
              >{day(sent.at, me.zone)}
              {clock(sent.at, me.zone)}, {wayName(sent.way)}, {sent.by}</span
            >
            {#if sent.number === Math.max(...money.sent.map((one) => one.number))}<a
                class="text-sm text-action underline"
                href="/files/jobs/{money.job}/estimate.pdf"
                target="_blank">PDF</a
              >{/if}
          </p>
          {#if sent.answer}
            <p class={sent.answer.answer === 'do-not-mend' ? 'text-out' : 'text-well'}>
              {sent.answer.answer === 'do-not-mend' ? '✕' : '✓'}
              {sent.answer.words}
              {#if sent.answer.upToMinor !== null}<span class="fig"
                  >{sum(sent.answer.upToMinor, me.currency)}</span
                >{/if}
              <span class="text-sm text-quiet"
                >{sent.answer.saidBy}, {wayName(sent.answer.way)}, {day(sent.answer.at, me.zone)}
                {clock(sent.answer.at, me.zone)}{sent.answer.by ? `, noted by ${sent.answer.by}` : ''}{sent
                  .answer.address
                  ? `, from ${sent.answer.address}`
                  : ''}</span
              >
              {#if sent.answer.late}<span class="text-sm font-semibold text-waiting"
                  >▢ it came when the work was done</span
                >{/if}
            </p>
          {:else if sent.stands}
            <AnswerForm {money} {sent} {keep} />
          {:else}
            <p class="text-sm text-quiet">Replaced or withdrawn without an answer.</p>
          {/if}
        </li>
      {/each}
    </ul>
  {/if}
</section>
