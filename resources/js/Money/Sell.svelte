<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, told } from '@/api/client';
  import Button from '@/ui/Button.svelte';
  import SumField from '@/ui/SumField.svelte';
  import Form from '@/ui/Form.svelte';
  import Problem from '@/ui/Problem.svelte';
  import { Work } from '@/ui/work.svelte';

  /** A machine that is for sale is sold. */
  let { tag }: { tag: string } = $props();

  const client = useQueryClient();
  const work = new Work();
  let price = $state('');
  const asks = $derived(work.error('belowParts'));

  const sell = (belowParts: boolean) =>
    work.do(async () => {
      await told(api.POST('/money/sales/{tag}', { params: { path: { tag } }, body: { price, belowParts } }));
      await client.invalidateQueries();
    });
</script>

<Form class="mt-3 grid gap-3 border-t border-line pt-3" onsend={() => sell(false)}>
  <SumField label="It is for sale. Sold for" bind:value={price} error={work.error('price')} />
  {#if asks}
    <p class="text-waiting">▢ {asks}</p>
    <div><Button busy={work.busy} onclick={() => sell(true)}>It is so: sold</Button></div>
  {/if}
  <Problem message={work.leftover('price', 'belowParts')} />
  <div><Button type="submit" busy={work.busy}>Sold</Button></div>
</Form>
