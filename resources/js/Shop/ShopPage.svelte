<script lang="ts">
  import { here } from '@/api/session.svelte';
  import People from './People.svelte';
  import Scripts from './Scripts.svelte';
  import SettingsForm from './SettingsForm.svelte';
  import Tablets from './Tablets.svelte';
  import { p } from '@/router';

  const me = here();
</script>

<svelte:head><title>Shop · Odd Bench</title></svelte:head>

<main class="px-4 py-4 md:px-5">
  <div class="flex flex-wrap items-baseline gap-x-6">
    <h1>{me.session?.shopName}</h1>
    {#if me.person.isLead}<a class="min-h-9 py-1.5 text-action underline" href={p('/security')}
        >Who did what</a
      >{/if}
  </div>
  {#if me.person.isLead}
    <div class="mt-4 grid gap-x-10 gap-y-8 xl:grid-cols-[minmax(0,1fr)_24rem]">
      <div class="grid content-start gap-8">
        <People />
        <Scripts />
      </div>
      <div class="grid content-start gap-8">
        <SettingsForm />
        <Tablets />
      </div>
    </div>
  {:else}
    <p class="mt-4 text-quiet">People and settings are a lead’s to see and to change.</p>
  {/if}
</main>
