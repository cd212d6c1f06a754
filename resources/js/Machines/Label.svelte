<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import QRCode from 'qrcode';
  import { machineQuery } from '@/api/queries';
  import { p, route } from '@/router';
  import Button from '@/ui/Button.svelte';

  const tag = $derived((route.params as Record<string, string>)['tag'] ?? '');
  const machine = createQuery(() => machineQuery(tag));
  let qr = $state('');
  const address = $derived(machine.data ? new URL(machine.data.ownersPage, window.location.origin).href : '');

  $effect(() => {
    // the page its owner may see; the shop’s own scan field knows the machine by it too
    if (!address) return;
    void QRCode.toString(address, { type: 'svg', margin: 0, errorCorrectionLevel: 'M' }).then(
      (svg) => (qr = svg),
    );
  });
</script>

<svelte:head><title>Label {tag} · Odd Bench</title></svelte:head>

{#if machine.data}
  {@const m = machine.data.machine}
  <main class="p-5 print:p-0">
    <div class="mb-5 flex flex-wrap items-center gap-4 print:hidden">
      <h1>Label for {m.tag}</h1>
      <Button kind="main" onclick={() => window.print()}>Print</Button>
      <a
        class="font-semibold text-action underline"
        href={m.openJob === null
          ? p('/machines/:tag', { params: { tag: m.tag } })
          : p('/jobs/:id', { params: { id: String(m.openJob) } })}
      >
        {m.openJob === null ? 'To the passport' : 'On to the job'}
      </a>
    </div>
    <!-- 62 × 29 mm, a usual label roll -->
    <div
      class="flex items-center gap-[3mm] border border-ink bg-white p-[2.5mm] text-black print:border-0"
      style="width: 62mm; height: 29mm; box-sizing: border-box"
    >
      <div
        class="shrink-0"
        style="width: 24mm; height: 24mm"
        role="img"
        aria-label="QR code of its owner’s page"
      >
        <!-- eslint-disable-next-line svelte/no-at-html-tags -- the library's own SVG, made here from the tag -->
        {@html qr}
      </div>
      <div class="min-w-0">
        <p class="font-mono leading-none font-bold whitespace-nowrap" style="font-size: 5mm">{m.tag}</p>
        <p class="mt-[1.5mm] truncate leading-tight" style="font-size: 3.1mm">{m.familyName}</p>
        <p class="truncate leading-tight" style="font-size: 2.6mm">
          {m.owner ?? (m.heldAs === 'farm' ? 'own farm' : 'for resale')}
        </p>
        {#if m.serial}<p class="truncate font-mono leading-tight" style="font-size: 2.6mm">{m.serial}</p>{/if}
      </div>
    </div>
    <p class="mt-3 text-sm text-quiet print:hidden">
      62 × 29 mm. Its code opens <span class="font-mono break-all">{address}</span>, the page its owner may
      see; scanned into the field above it finds the machine. Or read the tag aloud: none of its letters and
      digits sounds like another.
    </p>
  </main>
{:else if machine.isError}
  <main class="p-8">
    <h1>Not found</h1>
    <p class="mt-2">{machine.error.message}</p>
  </main>
{/if}
