<script lang="ts">
  import Button from '@/ui/Button.svelte';
  import FileButton from '@/ui/FileButton.svelte';

  /** Photographs of how it came in, kept with the job once it is booked in. */
  let { pictures = $bindable() }: { pictures: { file: File; address: string }[] } = $props();
  const MOST = 6;

  function leave(address: string): void {
    URL.revokeObjectURL(address);
    pictures = pictures.filter((one) => one.address !== address);
  }
</script>

<div class="flex flex-wrap items-end gap-3">
  {#each pictures as picture (picture.address)}
    <figure>
      <img src={picture.address} alt={picture.file.name} class="h-20 w-24 border border-line object-cover" />
      <figcaption>
        <Button kind="quiet" label="Leave out {picture.file.name}" onclick={() => leave(picture.address)}
          >leave out</Button
        >
      </figcaption>
    </figure>
  {/each}
  {#if pictures.length < MOST}
    <FileButton
      accept="image/*"
      camera
      onfile={(file) => (pictures = [...pictures, { file, address: URL.createObjectURL(file) }])}
      >Photograph how it came</FileButton
    >
  {/if}
</div>
