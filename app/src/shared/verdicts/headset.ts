import type { Press } from './clicker';

/** Keys of a headset, which a browser hands to a page alone that plays something: silence, over and over. */

const HERTZ = 8_000;
const SECONDS = 10;
const HEADER = 44;
/** The middle of eight bits. */
const SILENT = 128;

/** Some seconds of silence: a wave file of one channel of eight bits (RIFF, WAVE_FORMAT_PCM). */
function silence(): Blob {
  const samples = HERTZ * SECONDS;
  const file = new DataView(new ArrayBuffer(HEADER + samples));
  const words = (at: number, text: string) =>
    [...text].forEach((letter, i) => file.setUint8(at + i, letter.charCodeAt(0)));
  words(0, 'RIFF');
  file.setUint32(4, HEADER - 8 + samples, true);
  words(8, 'WAVEfmt ');
  file.setUint32(16, 16, true);
  file.setUint16(20, 1, true);
  file.setUint16(22, 1, true);
  file.setUint32(24, HERTZ, true);
  file.setUint32(28, HERTZ, true);
  file.setUint16(32, 1, true);
  file.setUint16(34, 8, true);
  words(36, 'data');
  file.setUint32(40, samples, true);
  new Uint8Array(file.buffer).fill(SILENT, HEADER);
  return new Blob([file.buffer], { type: 'audio/wav' });
}

const KEYS: Readonly<Partial<Record<MediaSessionAction, Press>>> = {
  nexttrack: 'met',
  previoustrack: 'missed',
  play: 'again',
  pause: 'again',
};

/** @returns stops listening, and the silence */
export function listenToHeadset(act: (press: Press) => void): () => void {
  if (!('mediaSession' in navigator)) return () => undefined;
  const url = URL.createObjectURL(silence());
  const player = new Audio(url);
  player.loop = true;
  // A browser lets it begin only with a touch: after a reload that is the next one.
  const play = () => {
    player.play().then(
      () => window.removeEventListener('pointerdown', play),
      () => undefined,
    );
  };
  window.addEventListener('pointerdown', play);
  play();
  const actions = Object.entries(KEYS) as readonly [MediaSessionAction, Press][];
  for (const [action, press] of actions) navigator.mediaSession.setActionHandler(action, () => act(press));
  return () => {
    for (const [action] of actions) navigator.mediaSession.setActionHandler(action, null);
    window.removeEventListener('pointerdown', play);
    player.pause();
    URL.revokeObjectURL(url);
  };
}
