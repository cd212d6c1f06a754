<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { Snippet } from 'svelte';
  import { benchQuery } from '@/api/queries';
  import { Timers } from '@/Repair';
  import { navigate, p, route } from '@/router';
  import AsItWas from '@/ui/AsItWas.svelte';
  import { onKeys } from '@/ui/keys';
  import Key from '@/ui/Key.svelte';
  import { now } from '@/ui/now.svelte';
  import KeysHelp from './KeysHelp.svelte';
  import OwnPassword from './OwnPassword.svelte';
  import ScanField from './ScanField.svelte';
  import { here } from '@/api/session.svelte';

  let {
    children,
    leave,
    lock,
  }: { children: Snippet; leave: () => Promise<void>; lock: () => Promise<void> } = $props();

  const me = here();
  const bench = createQuery(() => benchQuery());
  let help = $state(false);
  let password = $state(false);

  const places = [
    {
      name: 'Bench',
      path: '/' as const,
      also: ['/jobs', '/book-in', '/today', '/week', '/hand-over', '/went', '/hours'],
    },
    {
      name: 'Machines',
      path: '/machines' as const,
      also: [
        '/farm',
        '/will-fail',
        '/lives',
        '/does-not-hold',
        '/campaigns',
        '/campaign-new',
        '/counters',
        '/owners',
        '/labels',
        '/machine-new',
        '/families',
      ],
    },
    {
      name: 'Shelf',
      path: '/shelf' as const,
      also: ['/orders', '/donors', '/spools', '/stocktake', '/tables'],
    },
    ...(me.person.seesMoney
      ? [
          {
            name: 'Ledger',
            path: '/ledger' as const,
            also: ['/estimates', '/buying', '/claims', '/not-fetched', '/prices'],
          },
        ]
      : []),
    { name: 'Guides', path: '/guides' as const, also: [] },
  ];
  const open = (place: (typeof places)[number]): boolean =>
    route.pathname === place.path ||
    (place.path !== '/' && route.pathname.startsWith(place.path)) ||
    place.also.some((path) => route.pathname.startsWith(path));

  const timers = $derived(bench.data?.timers ?? []);
  const rings = $derived(timers.some((timer) => Date.parse(timer.ringsAt) <= now.ms));
  const tags = $derived(bench.data?.redTags ?? []);

  $effect(() =>
    onKeys({
      b: () => navigate('/book-in'),
      'g b': () => navigate('/'),
      'g m': () => navigate('/machines'),
      'g s': () => navigate('/shelf'),
      'g l': () => me.person.seesMoney && navigate('/ledger'),
      'g u': () => navigate('/guides'),
      i: () => navigate('/instruments'),
      'Shift+?': () => (help = true),
    }),
  );
</script>

<div class={['mx-auto max-w-[1920px] px-3 md:px-5 print:p-0', rings ? 'pb-28' : 'pb-6']}>
  <header class="flex items-center gap-x-4 gap-y-2 py-2 max-sm:flex-wrap max-sm:justify-between print:hidden">
    <a href={p('/')} class="shrink-0 font-extrabold tracking-tight">odd bench</a>
    <div class="mx-auto flex w-full max-w-[440px] gap-2 max-sm:order-last max-sm:max-w-none">
      <div class="min-w-0 flex-1"><ScanField /></div>
      {#if me.person.meetsOwners}<a
          href={p('/book-in')}
          class="flex min-h-11 shrink-0 items-center rounded-sm bg-action px-4 font-semibold text-white hover:bg-pressed sm:hidden"
          >Book in</a
        >{/if}
    </div>
    <div class="flex shrink-0 items-center gap-4">
      <Timers {timers} />
      {#if tags.length > 0}
        <a href={p('/')} class="hatch rounded-sm px-2.5 py-1 text-sm font-bold">
          <span class="bg-red px-1">{tags.length} red {tags.length === 1 ? 'tag' : 'tags'}</span>
        </a>
      {/if}
      <div class="hidden text-right text-sm leading-tight lg:block">
        <p>{me.person.name}, {me.person.role}</p>
        <p class="flex justify-end gap-3 text-quiet">
          {#if me.person.isLead}<a class="underline" href={p('/shop')}>Shop</a>{/if}
          <button class="underline" onclick={() => (password = true)}>Password, PIN</button>
          <button class="underline" onclick={leave}>Log out</button>
        </p>
      </div>
      <button
        class="min-h-11 text-sm text-quiet underline lg:hidden"
        aria-label="{me.person.name}: password, PIN"
        onclick={() => (password = true)}>Me</button
      >
      {#if me.session?.shared}
        <button
          class="min-h-11 rounded-sm border border-edge bg-white px-3 text-sm font-semibold hover:bg-wash"
          onclick={lock}>{me.person.name.split(' ')[0]} <span class="text-quiet">· change</span></button
        >
      {:else}
        <button class="min-h-11 text-sm text-quiet underline lg:hidden" onclick={leave}>Log out</button>
      {/if}
    </div>
  </header>
  <nav class="flex items-end gap-1.5 max-sm:gap-1 print:hidden" aria-label="Places">
    {#each places as place (place.path)}
      <a
        href={p(place.path)}
        aria-current={open(place) ? 'page' : undefined}
        class={[
          'relative min-w-20 rounded-t-[3px] border border-b-0 border-line px-4 pt-2.5 pb-2 text-center font-semibold max-lg:min-w-0 max-lg:px-3 max-sm:px-1.5 max-sm:text-sm',
          open(place) ? 'z-10 -mb-px bg-sheet pb-2.5' : 'bg-drawer text-quiet hover:bg-side',
        ]}
      >
        <span
          aria-hidden="true"
          class={[
            'absolute top-[3px] left-1/2 h-[3px] w-7 -translate-x-1/2',
            open(place) ? 'bg-action' : 'bg-line',
          ]}
        ></span>
        {place.name}
      </a>
    {/each}
    <a
      href={p('/instruments')}
      aria-current={route.pathname.startsWith('/instruments') ? 'page' : undefined}
      class={[
        'ml-auto rounded-t-[3px] border border-b-0 border-dashed border-edge px-3 pt-2.5 pb-2 font-semibold max-sm:px-1.5 max-sm:text-sm',
        route.pathname.startsWith('/instruments')
          ? 'z-10 -mb-px bg-sheet pb-2.5'
          : 'text-quiet hover:bg-side',
      ]}
    >
      Instruments<span class="max-md:hidden">&nbsp;<Key>i</Key></span>
    </a>
    <button
      class="mb-1 hidden min-h-9 px-2 text-sm text-quiet underline lg:block"
      onclick={() => (help = true)}
    >
      Keys <Key>?</Key>
    </button>
    {#if me.person.meetsOwners}
      <a
        href={p('/book-in')}
        class="mb-1.5 ml-2 flex min-h-10 items-center whitespace-nowrap max-sm:hidden rounded-sm bg-action px-4 font-semibold text-white hover:bg-pressed md:ml-0"
      >
        Book in <Key light>b</Key>
      </a>
    {/if}
  </nav>
  <div class="min-h-[calc(100vh-7.75rem)] border border-line bg-sheet print:border-0">
    {@render children()}
  </div>
</div>
<AsItWas />
<KeysHelp bind:open={help} />
<OwnPassword bind:open={password} {leave} />
