<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import QRCode from 'qrcode';
  import { partQuery } from '@/api/queries';
  import { p, route } from '@/router';
  import Button from '@/ui/Button.svelte';

  /** A label for the bin: the scan field knows the part by its code. */
  const number = $derived((route.params as Record<string, string>)['number'] ?? '');
  const part = createQuery(() => partQuery(number));
  let qr = $state('');
  const address = $derived(
    part.data ? new URL(p('/shelf/:number', { params: { number } }), window.location.origin).href : '',
  );

  $effect(() => {
    if (!address) return;
    void QRCode.toString(address, { type: 'svg', margin: 0, errorCorrectionLevel: 'M' }).then(
      (svg) => (qr = svg),
    );
  });
</script>

<svelte:head><title>Label {number} · Odd Bench</title></svelte:head>

{#if part.data}
  {@const it = part.data.part}
  <main class="p-5 print:p-0">
    <div class="mb-5 flex flex-wrap items-center gap-4 print:hidden">
      <h1>Bin label for {it.number}</h1>
      <Button kind="main" onclick={() => window.print()}>Print</Button>
      <a
        class="font-semibold text-action underline"
        href={p('/shelf/:number', { params: { number: it.number } })}>To the part</a
      >
    </div>
    <!-- 62 × 29 mm, a usual label roll -->
    <div
      class="flex items-center gap-[3mm] border border-ink bg-white p-[2.5mm] text-black print:border-0"
      style="width: 62mm; height: 29mm; box-sizing: border-box"
    >
      <div class="shrink-0" style="width: 24mm; height: 24mm" role="img" aria-label="QR code of the part">
        <!-- eslint-disable-next-line svelte/no-at-html-tags -- the library's own SVG, made here from the number -->
        {@html qr}
      </div>
      <div class="min-w-0">
        <p class="font-mono leading-none font-bold whitespace-nowrap" style="font-size: 6mm">{it.bin}</p>
        <p class="mt-[1.5mm] line-clamp-2 leading-tight break-words" style="font-size: 3mm">{it.name}</p>
        <p class="truncate font-mono leading-tight" style="font-size: 2.8mm">{it.number}</p>
      </div>
    </div>
    <p class="mt-3 text-sm text-quiet print:hidden">
      62 × 29 mm. Scanned into the field above it opens the part; scanned in a stocktake it opens the bin.
    </p>
  </main>
{:else if part.isError}
  <main class="p-8">
    <h1>Not found</h1>
    <p class="mt-2">{part.error.message}</p>
  </main>
{/if}
