<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { Router } from 'sv-router';
  import { api, told } from '@/api/client';
  import { connection } from '@/api/connection.svelte';
  import { knowledgeQuery } from '@/api/queries';
  import { HeatAlarm } from '@/Proof';
  import '@/router';
  import type { Session } from '@/api/types';
  import Login from './Login.svelte';
  import { Here, provideHere } from '@/api/session.svelte';
  import { touch } from '@/api/touch';
  import { Draft } from '@/ui/draft.svelte';
  import Top from './Top.svelte';

  const client = useQueryClient();
  const here = provideHere(new Here());
  let failed = $state('');

  async function enter(session: Session): Promise<void> {
    Draft.of = session.person?.id ?? null;
    if (session.person) here.knowledge = await client.fetchQuery(knowledgeQuery());
    here.session = session;
  }

  async function start(): Promise<void> {
    failed = '';
    try {
      await enter(await told(api.GET('/session')));
    } catch (error) {
      failed = error instanceof Error ? error.message : 'The server does not answer.';
    }
  }

  async function leave(): Promise<void> {
    const session = await told(api.DELETE('/session'));
    client.clear();
    Draft.forget();
    here.session = session;
  }

  /** A shared tablet forgets who was there; what was being typed waits for that one. */
  async function lock(): Promise<void> {
    const session = await told(api.POST('/session/lock'));
    client.clear();
    here.session = session;
  }

  $effect(() => {
    const session = here.session;
    if (!session?.person || !session.shared) return;
    const looks = setInterval(() => {
      if (touch.restsFor(session.idleMinutes)) void lock();
    }, 5000);
    return () => clearInterval(looks);
  });

  void start();

  // a session that ran out: the page under the login stays as it is, nothing typed is lost
  $effect(() =>
    client.getQueryCache().subscribe((event) => {
      const error = event.query.state.error;
      if (error && 'status' in error && error.status === 401 && here.session?.person) void start();
    }),
  );
</script>

<HeatAlarm may={here.session?.person?.worksAtTheBench ?? false} />
{#if connection.lost}
  <p
    role="status"
    class="fixed inset-x-0 bottom-0 z-50 bg-waiting-wash px-5 py-3 text-center font-semibold text-waiting"
  >
    ◌ {connection.why} What you did is kept and sent again by itself.
  </p>
{/if}
{#if failed}
  <main class="mx-auto mt-24 max-w-md px-5">
    <h1>The server does not answer</h1>
    <p class="mt-2 text-quiet">{failed}</p>
    <button class="mt-4 font-semibold text-action underline" onclick={start}>Try again</button>
  </main>
{:else if here.session && !here.session.person}
  <Login session={here.session} entered={enter} />
{:else if here.session && here.knowledge}
  <Top {leave} {lock}><Router /></Top>
{/if}
