<script lang="ts">
  import QRCode from 'qrcode';
  import type { MachineSummary } from '@/api/types';

  /** A label for a machine, 62 × 29 mm: a usual roll. Its code opens the page its owner may see. */
  let { machine, address }: { machine: MachineSummary; address: string } = $props();
  let qr = $state('');

  $effect(() => {
    void QRCode.toString(address, { type: 'svg', margin: 0, errorCorrectionLevel: 'M' }).then(
      (svg) => (qr = svg),
    );
  });
</script>

<div
  class="flex break-inside-avoid items-center gap-[3mm] border border-ink bg-white p-[2.5mm] text-black print:border-0"
  style="width: 62mm; height: 29mm; box-sizing: border-box"
>
  <div class="shrink-0" style="width: 24mm; height: 24mm" role="img" aria-label="QR code of its owner’s page">
    <!-- eslint-disable-next-line svelte/no-at-html-tags -- the library's own SVG, made here from the tag -->
    {@html qr}
  </div>
  <div class="min-w-0">
    <p class="font-mono leading-none font-bold whitespace-nowrap" style="font-size: 5mm">{machine.tag}</p>
    <p class="mt-[1.5mm] truncate leading-tight" style="font-size: 3.1mm">{machine.familyName}</p>
    <p class="truncate leading-tight" style="font-size: 2.6mm">
      {machine.owner ?? (machine.heldAs === 'farm' ? 'own farm' : 'for resale')}
    </p>
    {#if machine.serial}<p class="truncate font-mono leading-tight" style="font-size: 2.6mm">
        {machine.serial}
      </p>{/if}
  </div>
</div>
