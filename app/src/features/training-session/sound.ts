/** Short tones through the browser's own sound; silent where there is none. */
let context: AudioContext | null = null;

const LOUD = 0.9;

function ready(): AudioContext | null {
  if (!('AudioContext' in globalThis)) return null;
  context ??= new AudioContext();
  // A browser lets sound begin only with a touch: this is called from one.
  if (context.state === 'suspended') void context.resume();
  return context;
}

function tone(hertz: number, ms: number): void {
  const sound = ready();
  if (!sound) return;
  const source = sound.createOscillator();
  const volume = sound.createGain();
  // A square wave carries outdoors.
  source.type = 'square';
  source.frequency.value = hertz;
  volume.gain.setValueAtTime(LOUD, sound.currentTime);
  volume.gain.exponentialRampToValueAtTime(0.001, sound.currentTime + ms / 1000);
  source.connect(volume).connect(sound.destination);
  source.start();
  source.stop(sound.currentTime + ms / 1000);
}

export const tick = (): void => tone(1200, 60);
export const alarm = (): void => {
  for (const [i, hertz] of [880, 660, 880].entries()) setTimeout(() => tone(hertz, 350), i * 400);
};
