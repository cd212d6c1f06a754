<script lang="ts">
  import Button from '@/ui/Button.svelte';

  /** Records three seconds from the microphone as a WAV file. */
  let { take }: { take: (wav: File) => void } = $props();

  const SECONDS = 3;
  let left = $state(0);
  let wrong = $state('');
  const possible = typeof navigator !== 'undefined' && Boolean(navigator.mediaDevices?.getUserMedia);

  async function record(): Promise<void> {
    wrong = '';
    try {
      const stream = await navigator.mediaDevices.getUserMedia({
        audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
      });
      const context = new AudioContext();
      const source = context.createMediaStreamSource(stream);
      const node = context.createScriptProcessor(4096, 1, 1);
      const pieces: Float32Array[] = [];
      node.onaudioprocess = (event) => pieces.push(new Float32Array(event.inputBuffer.getChannelData(0)));
      source.connect(node);
      node.connect(context.destination);
      for (left = SECONDS; left > 0; left--) await new Promise((resume) => setTimeout(resume, 1000));
      node.disconnect();
      stream.getTracks().forEach((track) => track.stop());
      const rate = context.sampleRate;
      await context.close();
      take(new File([wav(pieces, rate)], 'pluck.wav', { type: 'audio/wav' }));
    } catch {
      left = 0;
      wrong =
        'The microphone cannot be used here: allow it, or choose a recording. Away from this machine it takes HTTPS.';
    }
  }

  function wav(pieces: Float32Array[], rate: number): ArrayBuffer {
    const count = pieces.reduce((sum, piece) => sum + piece.length, 0);
    const buffer = new ArrayBuffer(44 + 2 * count);
    const view = new DataView(buffer);
    const text = (at: number, word: string): void =>
      [...word].forEach((letter, i) => view.setUint8(at + i, letter.charCodeAt(0)));
    text(0, 'RIFF');
    view.setUint32(4, 36 + 2 * count, true);
    text(8, 'WAVEfmt ');
    view.setUint32(16, 16, true);
    view.setUint16(20, 1, true);
    view.setUint16(22, 1, true);
    view.setUint32(24, rate, true);
    view.setUint32(28, 2 * rate, true);
    view.setUint16(32, 2, true);
    view.setUint16(34, 16, true);
    text(36, 'data');
    view.setUint32(40, 2 * count, true);
    let at = 44;
    for (const piece of pieces) {
      for (const value of piece) {
        view.setInt16(at, Math.max(-1, Math.min(1, value)) * 32767, true);
        at += 2;
      }
    }
    return buffer;
  }
</script>

{#if possible}
  <div class="mt-2">
    <Button onclick={record} disabled={left > 0}
      >{left > 0 ? `Pluck now… ${left}` : `Record ${SECONDS} seconds`}</Button
    >
    {#if wrong}<p class="mt-1 text-sm font-semibold text-out">✕ {wrong}</p>{/if}
  </div>
{/if}
