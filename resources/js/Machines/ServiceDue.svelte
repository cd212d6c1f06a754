<script lang="ts">
  import { api, told } from '@/api/client';
  import type { Passport } from '@/api/types';
  import { navigate } from '@/router';
  import { here } from '@/api/session.svelte';
  import Button from '@/ui/Button.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** What comes round on this machine; what is due opens a service job. */
  let { passport }: { passport: Passport } = $props();

  const me = here();
  const work = new Work();
  const due = $derived(passport.service.filter((item) => item.due));

  async function open(): Promise<void> {
    let job = 0;
    const opened = await work.do(async () => {
      job = (
        await told(
          api.POST('/machines/{tag}/service-jobs', {
            params: { path: { tag: passport.machine.tag } },
            body: { items: due.map((item) => item.code), hours: null },
          }),
        )
      ).id;
    });
    if (opened) await navigate('/jobs/:id', { params: { id: String(job) } });
  }
</script>

{#if passport.service.length > 0}
  <h2 class="mt-5">Service</h2>
  <ul class="mt-1">
    {#each passport.service as item (item.code)}
      <li class="rule-below flex justify-between gap-3 py-1 leading-tight">
        <span>{item.name}</span>
        <span
          class={['text-right text-sm whitespace-nowrap', item.due ? 'font-semibold text-out' : 'text-quiet']}
          >{item.due ? '■ ' : ''}{item.words}</span
        >
      </li>
    {/each}
  </ul>
  {#if due.length > 0 && passport.machine.openJob === null && me.person.meetsOwners}
    <div class="mt-2"><Button busy={work.busy} onclick={open}>Open a service job</Button></div>
  {/if}
  {#if work.refusal}<Problem message={work.refusal.message} />{/if}
{/if}
