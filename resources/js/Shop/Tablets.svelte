<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import QRCode from 'qrcode';
  import { api, told } from '@/api/client';

  /** How a tablet comes to trust this shop. */
  const settings = createQuery(() => ({ queryKey: ['settings'], queryFn: () => told(api.GET('/settings')) }));
  const address = $derived(settings.data?.trustAddress ?? null);
  let qr = $state('');

  $effect(() => {
    if (address)
      void QRCode.toString(address, { type: 'svg', margin: 0, errorCorrectionLevel: 'M' }).then(
        (svg) => (qr = svg),
      );
  });
</script>

{#if settings.data}
  <section aria-labelledby="tablets">
    <h2 id="tablets" class="rule-below pb-1.5">Tablets</h2>
    {#if address}
      <div class="mt-3 grid grid-cols-[8rem_minmax(0,1fr)] gap-4">
        <!-- eslint-disable-next-line svelte/no-at-html-tags -- drawn here from our own address -->
        <div class="h-32 w-32 bg-white p-1.5" role="img" aria-label="Code of {address}">{@html qr}</div>
        <div class="text-sm">
          <p>
            Once on each: scan this or open <span class="font-mono">{address}</span>, and install the shop’s
            certificate.
          </p>
          <p class="mt-2 text-quiet">Compare its print before you trust it:</p>
          <p class="font-mono text-xs break-all text-quiet">{settings.data.trustPrint}</p>
        </div>
      </div>
    {:else}
      <p class="mt-3 text-sm text-quiet">
        This page answers on its own machine alone. <code class="fig">bin/odd-bench up --shop --lan</code> puts
        it on the shop’s network, by HTTPS.
      </p>
    {/if}
  </section>
{/if}
