<script lang="ts">
  import { api, told } from '@/api/client';
  import type { Session } from '@/api/types';
  import Button from '@/ui/Button.svelte';
  import { Work } from '@/ui/work.svelte';

  /** A shared tablet that forgot who was there: a name, then six digits. */
  let {
    session,
    entered,
    withPassword,
  }: {
    session: Session;
    entered: (session: Session) => Promise<void>;
    withPassword: () => void;
  } = $props();

  const DIGITS = 6;
  const work = new Work();
  let who = $state<number | null>(null);
  let pin = $state('');
  const name = $derived(session.signers.find((one) => one.id === who)?.name);

  function choose(id: number): void {
    who = id;
    pin = '';
    work.refusal = null;
  }
  function press(digit: string): void {
    if (pin.length >= DIGITS || work.busy) return;
    pin += digit;
    if (pin.length === DIGITS) void send();
  }
  async function send(): Promise<void> {
    const body = { person: who ?? 0, pin };
    await work.do(async () => entered(await told(api.POST('/session/pin', { body }))));
    pin = '';
  }
  function typed(event: KeyboardEvent): void {
    if (who === null) return;
    if (/^\d$/.test(event.key)) press(event.key);
    else if (event.key === 'Backspace') pin = pin.slice(0, -1);
    else if (event.key === 'Escape') who = null;
    else return;
    event.preventDefault();
  }
</script>

<svelte:window onkeydown={typed} />

<div class="p-8">
  <p class="font-extrabold">odd bench</p>
  <h1 class="mt-4">{name ?? 'Who is here?'}</h1>
  {#if who === null}
    <ul class="mt-5 grid gap-2 sm:grid-cols-2">
      {#each session.signers as one (one.id)}
        <li>
          <button
            type="button"
            class="min-h-14 w-full border border-edge bg-white px-4 text-left text-lg font-semibold hover:bg-wash"
            onclick={() => choose(one.id)}>{one.name}</button
          >
        </li>
      {:else}
        <li class="text-quiet">Nobody has a PIN yet: it is set under the own name, with the password.</li>
      {/each}
    </ul>
    <p class="mt-5"><Button kind="quiet" onclick={withPassword}>With login and password</Button></p>
  {:else}
    <p class="mt-4 flex gap-3" aria-label="{pin.length} of {DIGITS} digits" role="status">
      {#each [0, 1, 2, 3, 4, 5] as place (place)}
        <span
          class={[
            'h-4 w-4 rounded-full border-2 border-action',
            place < pin.length ? 'bg-action' : 'bg-white',
          ]}
        ></span>
      {/each}
    </p>
    {#if work.refusal}<p role="alert" class="mt-3 font-semibold text-out">✕ {work.refusal.message}</p>{/if}
    <div class="mt-4 grid w-64 grid-cols-3 gap-2" role="group" aria-label="PIN of {name}">
      {#each ['1', '2', '3', '4', '5', '6', '7', '8', '9'] as digit (digit)}
        <button
          type="button"
          class="h-14 border border-edge bg-white font-mono text-xl hover:bg-wash"
          onclick={() => press(digit)}>{digit}</button
        >
      {/each}
      <button type="button" class="h-14 text-sm text-quiet underline" onclick={() => (who = null)}
        >Other person</button
      >
      <button
        type="button"
        class="h-14 border border-edge bg-white font-mono text-xl hover:bg-wash"
        onclick={() => press('0')}>0</button
      >
      <button type="button" class="h-14 text-sm text-quiet underline" onclick={() => (pin = pin.slice(0, -1))}
        >One back</button
      >
    </div>
  {/if}
</div>
