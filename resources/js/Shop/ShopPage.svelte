<script lang="ts">
  import { here } from '@/api/session.svelte';
  import People from './People.svelte';
  import SettingsForm from './SettingsForm.svelte';

  const me = here();
</script>

<svelte:head><title>Shop · Odd Bench</title></svelte:head>

<main class="px-4 py-4 md:px-5">
  <h1>{me.session?.shopName}</h1>
  {#if me.person.isLead}
    <div class="mt-4 grid gap-x-10 gap-y-8 xl:grid-cols-[minmax(0,1fr)_24rem]">
      <People />
      <SettingsForm />
    </div>
  {:else}
    <p class="mt-4 text-quiet">People and settings are a lead’s to see and to change.</p>
  {/if}
</main>
