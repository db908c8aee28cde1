/** Short tones through the browser's own sound; silent where there is none. */
let context: AudioContext | null = null;

const LOUD = 0.9;

/** Whether a tone waits for the first touch: those that would have come meanwhile do not come all at once. */
let isWaiting = false;

function tone(hertz: number, ms: number): void {
  if (!('AudioContext' in globalThis)) return;
  context ??= new AudioContext();
  const sound = context;
  if (sound.state !== 'suspended') {
    play(sound, hertz, ms);
    return;
  }
  // A browser lets sound begin only with a touch: mostly this is called from one.
  if (isWaiting) return;
  isWaiting = true;
  void sound.resume().then(() => {
    isWaiting = false;
    play(sound, hertz, ms);
  });
}

function play(sound: AudioContext, hertz: number, ms: number): void {
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
