<script lang="ts">
  import { createInfiniteQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import { wrote } from '@/api/writes';
  import { navigate, p } from '@/router';
  import { here } from '@/api/session.svelte';
  import Form from '@/ui/Form.svelte';
  import Button from '@/ui/Button.svelte';
  import Dialog from '@/ui/Dialog.svelte';
  import Field from '@/ui/Field.svelte';
  import { money } from '@/ui/format';
  import Pick from '@/ui/Pick.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';
  import CoverStrip from './CoverStrip.svelte';
  import ShelfPlaces from './ShelfPlaces.svelte';

  const me = here();
  const client = useQueryClient();
  const work = new Work();
  let text = $state('');
  let adding = $state(false);
  let number = $state('');
  let name = $state('');
  let bin = $state('');
  let kind = $state('');

  const shelf = createInfiniteQuery(() => ({
    queryKey: ['parts', 'shelf', text.trim()],
    queryFn: ({ pageParam }: { pageParam: string | null }) =>
      told(
        api.GET('/parts', {
          params: {
            query: {
              ...(text.trim() ? { text: text.trim() } : {}),
              ...(pageParam ? { after: pageParam } : {}),
            },
          },
        }),
      ),
    initialPageParam: null as string | null,
    getNextPageParam: (last) => last.next,
  }));
  const parts = $derived(shelf.data?.pages.flatMap((page) => page.parts) ?? []);
  const first = $derived(shelf.data?.pages[0]);

  async function add(): Promise<void> {
    await work.do(async () => {
      const page = await told(api.POST('/parts', { body: { number, name, class: kind, bin } }));
      wrote(client, 'stock');
      navigate('/shelf/:number', { params: { number: page.part.number } });
    });
  }
</script>

<svelte:head><title>Shelf · Odd Bench</title></svelte:head>

<main class="px-4 py-3 md:px-5">
  <ShelfPlaces />
  <div class="mt-1 flex flex-wrap items-end gap-3">
    <h1 class="mr-4 self-center">
      Shelf {#if first && !first.guessed}<span class="ml-1 text-sm font-normal text-quiet"
          ><span class="fig">{first.all}</span> parts,
          <span class="fig">{money(first.valueMinor, me.currency)}</span></span
        >{/if}
    </h1>
    <div class="w-80"><Field label="Any of its words, a number or a bin" bind:value={text} /></div>
    {#if me.person.meetsOwners}<Button onclick={() => (adding = true)}>New part</Button>{/if}
  </div>
  {#if first?.guessed}<p role="status" class="mt-3">
      No part is called “{text.trim()}”. These are called nearly so:
    </p>{/if}
  {#if shelf.isError}<p role="alert" class="mt-4 text-out">✕ {shelf.error.message}</p>{/if}
  <table class="mt-3 w-full border-t border-line">
    <thead>
      <tr class="text-left text-sm text-quiet">
        <th class="py-1.5 font-normal">Bin</th><th class="font-normal">Part</th><th
          class="font-normal max-md:hidden">Number</th
        ><th class="font-normal max-md:hidden">For</th>
        <th class="text-right font-normal">On hand</th><th class="pl-4 font-normal max-md:hidden">Lasts</th
        ><th class="text-right font-normal max-md:hidden">Used in 90 days</th><th
          class="text-right font-normal max-md:hidden">Worth</th
        >
      </tr>
    </thead>
    <tbody>
      {#each parts as part, i (part.number)}
        <tr class="rule-below hover:bg-wash">
          <td class="fig w-16 align-top"
            ><span class={['inline-block py-2.5', part.bin === parts[i - 1]?.bin && 'sr-only']}
              >{part.bin}</span
            ></td
          >
          <td
            ><a
              class="block py-2.5 font-semibold break-words hover:underline"
              href={p('/shelf/:number', { params: { number: part.number } })}
              >{part.name}{#if part.suspect}<span class="ml-2 text-sm font-normal text-out"
                  >✕ a bad batch may lie among them</span
                >{/if}</a
            ></td
          >
          <td class="fig text-quiet max-md:hidden">{part.number}</td>
          <td class="text-quiet max-md:hidden">{part.className}</td>
          <td class="text-right"
            >{#if part.onHand === 0}<span class="bg-out-wash px-1.5 font-semibold text-out">✕ none</span
              >{:else}<span class="fig">{part.onHand}</span>{/if}</td
          >
          <td class="pl-4 max-md:hidden"
            ><CoverStrip weeks={part.coverWeeks} orderAt={part.orderAtWeeks} toOrder={part.toOrder} /></td
          >
          <td class="text-right max-md:hidden"
            ><span class="fig text-quiet">{part.usedLately || '–'}</span></td
          >
          <td class="fig pl-3 text-right text-quiet max-md:hidden">{money(part.valueMinor, me.currency)}</td>
        </tr>
      {/each}
    </tbody>
  </table>
  {#if shelf.data && parts.length === 0}
    <p class="mt-4 text-quiet">
      {text
        ? 'No part is called so, nor nearly so.'
        : 'Parts stand here by bin, with what is on hand. Make the first one known.'}
    </p>
  {/if}
  {#if shelf.hasNextPage}
    <button
      class="mt-3 min-h-11 font-semibold text-action underline"
      disabled={shelf.isFetchingNextPage}
      onclick={() => shelf.fetchNextPage()}>Show more</button
    >
  {/if}
</main>
<Dialog bind:open={adding} title="New part">
  <Form class="grid gap-4" onsend={() => add()}>
    <Field label="Name" bind:value={name} maxlength={160} focus error={work.error('name')} />
    <div class="grid grid-cols-2 gap-4">
      <Field label="Part number" bind:value={number} mono maxlength={30} error={work.error('number')} />
      <Field label="Bin" bind:value={bin} mono maxlength={12} error={work.error('bin')} />
    </div>
    <Pick
      label="What it is"
      items={me.words.partClasses}
      showAll
      onpick={(code) => (kind = code)}
      error={work.error('class')}
    />
    {#if work.refusal && work.refusal.errors.length === 0}<Problem message={work.refusal.message} />{/if}
    <div><Button kind="main" type="submit" busy={work.busy}>Make it known</Button></div>
  </Form>
</Dialog>
