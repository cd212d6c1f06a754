<script lang="ts">
  import wasm from 'zxing-wasm/reader/zxing_reader.wasm?url';
  import Dialog from './Dialog.svelte';

  /** Reads a code with the camera; what reads it ships with the page. */
  let { open = $bindable(false), onread }: { open: boolean; onread: (text: string) => unknown } = $props();

  let video = $state<HTMLVideoElement>();
  let problem = $state('');

  const refusals: Record<string, string> = {
    NotAllowedError: 'This page may not use the camera: allow it in the browser, beside the address.',
    NotFoundError: 'There is no camera on this device.',
    NotReadableError: 'The camera is used by another program.',
  };

  $effect(() => {
    if (!open) return;
    problem = '';
    let stream: MediaStream | undefined;
    let over = false;
    const watch = async (): Promise<void> => {
      if (!window.isSecureContext || !navigator.mediaDevices)
        throw new Error(
          'The camera works only where the page is on HTTPS: whoever looks after the server runs bin/odd-bench up --shop --lan.',
        );
      const [{ BarcodeDetector, prepareZXingModule }, picture] = await Promise.all([
        import('barcode-detector/ponyfill'),
        navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' }, audio: false }),
      ]);
      stream = picture;
      if (over) return stop();
      prepareZXingModule({ overrides: { locateFile: () => wasm } });
      const reader = new BarcodeDetector({ formats: ['qr_code', 'code_128', 'ean_13', 'data_matrix'] });
      while (!video) await new Promise((resume) => setTimeout(resume, 30));
      video.srcObject = stream;
      await video.play();
      while (!over) {
        const [found] = await reader.detect(video);
        if (found?.rawValue) {
          open = false;
          await onread(found.rawValue);
          return;
        }
        await new Promise((resume) => setTimeout(resume, 150));
      }
    };
    const stop = (): void => stream?.getTracks().forEach((track) => track.stop());
    watch().catch((error: unknown) => {
      if (over) return;
      problem =
        (error instanceof Error && (refusals[error.name] ?? error.message)) || 'The camera cannot be read.';
    });
    return () => {
      over = true;
      stop();
    };
  });
</script>

<Dialog bind:open title="Hold the code before the camera">
  {#if problem}
    <p role="alert" class="font-semibold text-out">✕ {problem}</p>
    <p class="mt-2 text-quiet">Or type the tag: none of its letters and digits sounds like another.</p>
  {:else}
    <video bind:this={video} muted playsinline class="aspect-[4/3] w-full bg-ink object-cover"></video>
  {/if}
</Dialog>
