<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { here } from '@/api/session.svelte';
  import { wrote } from '@/api/writes';
  import Button from '@/ui/Button.svelte';
  import Dialog from '@/ui/Dialog.svelte';
  import Problem from '@/ui/Problem.svelte';
  import Tag from '@/ui/Tag.svelte';
  import { day } from '@/ui/format';
  import { Work } from '@/ui/work.svelte';

  /** What owners are told: text to copy, and a note that it went out. */
  let { open = $bindable(false), campaign }: { open: boolean; campaign: number } = $props();

  const me = here();
  const client = useQueryClient();
  const work = new Work();
  const path = $derived({ params: { path: { campaign } } });
  const query = createQuery(() => ({
    queryKey: ['campaign', campaign, 'letters'],
    queryFn: () => told(api.GET('/campaigns/{campaign}/letters', path)),
    enabled: open,
  }));
  let copied = $state('');

  const wrote_to = (tag: string) =>
    work.do(async () => {
      await told(api.POST('/campaigns/{campaign}/letters', { ...path, body: { tag } }));
      wrote(client, 'looks');
    });

  async function copy(tag: string, text: string): Promise<void> {
    await navigator.clipboard?.writeText(text);
    copied = tag;
  }
</script>

<Dialog bind:open title="Letters to owners" wide>
  {#if query.isError}<Problem message={query.error.message} />{/if}
  <Problem message={work.refusal?.message} />
  {#if query.data?.letters.length === 0}<p class="text-quiet">No owner’s machine is affected.</p>{/if}
  <ul>
    {#each query.data?.letters ?? [] as letter (letter.tag)}
      <li class="rule-below grid gap-2 py-3 md:grid-cols-[13rem_minmax(0,1fr)]">
        <div>
          <Tag tag={letter.tag} />
          <p class="mt-1 font-semibold">{letter.owner}</p>
          <p class="text-sm text-quiet">{letter.contact ?? 'how to reach them is not known'}</p>
          {#if letter.writtenAt}<p class="mt-1 text-sm text-well">
              ✓ written {day(letter.writtenAt, me.zone)}
            </p>
          {:else}
            <div class="mt-2 flex flex-wrap gap-2">
              <Button
                busy={work.busy}
                label="{letter.tag} was written to"
                onclick={() => wrote_to(letter.tag)}>It went out</Button
              >
              <Button
                kind="quiet"
                label="Copy the letter of {letter.tag}"
                onclick={() => copy(letter.tag, letter.text)}
                >{copied === letter.tag ? 'Copied' : 'Copy'}</Button
              >
            </div>
          {/if}
        </div>
        <p class="border border-line bg-white px-3 py-2 text-sm whitespace-pre-line">{letter.text}</p>
      </li>
    {/each}
  </ul>
</Dialog>
