<script lang="ts">
  /** Why something was refused; nothing where nothing was. */
  let { message, reasons = [] }: { message: string | undefined; reasons?: string[] } = $props();
</script>

{#if message}
  <div role="alert" class="border-l-4 border-out bg-out-wash px-3 py-2 text-out">
    {#if reasons.length > 1}
      <ul class="grid gap-1">
        {#each reasons as reason (reason)}<li>✕ {reason}</li>{/each}
      </ul>
    {:else}
      ✕ {message}
    {/if}
  </div>
{/if}
