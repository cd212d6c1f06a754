let sound: AudioContext | null = null;
let rang = 0;

/** Two short tones every three seconds; browsers allow it once somebody has pressed something on the page. */
export function ring(ms: number): void {
  if (ms - rang < 3000) return;
  rang = ms;
  sound ??= new AudioContext();
  for (const [delay, pitch] of [
    [0, 880],
    [0.22, 1175],
  ] as const) {
    const tone = sound.createOscillator();
    const loud = sound.createGain();
    const at = sound.currentTime + delay;
    tone.frequency.value = pitch;
    loud.gain.setValueAtTime(0.25, at);
    loud.gain.exponentialRampToValueAtTime(0.001, at + 0.2);
    tone.connect(loud).connect(sound.destination);
    tone.start(at);
    tone.stop(at + 0.22);
  }
}
