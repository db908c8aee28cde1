import FFT from 'fft.js';

const MOST_HZ = 10;
const LEAST_SHARE = 0.05;
const PADDED = 4;

/**
 * Spectral arc length of one movement: how long the outline of its speed's spectrum is, negative; nearer to 0
 * is smoother. The spectrum is padded to sixteen times its length and cut
 * at 10 Hz, or beyond the last place where it reaches a twentieth of its greatest value. Made for single
 * movements, not for a hover.
 * Source: Balasubramanian, Melendez-Calderon, Roby-Brami and Burdet, Journal of NeuroEngineering and
 * Rehabilitation 12:112, 2015.
 * @param speeds of the movement, evenly spaced, any unit
 * @param hz values a second, over 0
 * @throws RangeError for fewer than four values, or a movement that stands still
 */
export function spectralArcLength(speeds: ArrayLike<number>, hz: number): number {
  if (speeds.length < 4) throw new RangeError('A movement needs four values or more.');
  const size = 2 ** (Math.ceil(Math.log2(speeds.length)) + PADDED);
  const fft = new FFT(size);
  const padded = new Array<number>(size).fill(0);
  for (let i = 0; i < speeds.length; i += 1) padded[i] = speeds[i]!;
  const spectrum = fft.createComplexArray();
  fft.realTransform(spectrum, padded);
  const within = Math.min(size / 2, Math.floor((MOST_HZ * size) / hz));
  const magnitudes = Array.from({ length: within + 1 }, (_, i) =>
    Math.hypot(spectrum[2 * i]!, spectrum[2 * i + 1]!),
  );
  const greatest = magnitudes.reduce((most, each) => Math.max(most, each), 0);
  if (!(greatest > 0)) throw new RangeError('The movement stands still.');
  const reaches = magnitudes.map((each) => each / greatest >= LEAST_SHARE);
  const [first, last] = [reaches.indexOf(true), reaches.lastIndexOf(true)];
  let length = 0;
  for (let i = first + 1; i <= last; i += 1)
    length += Math.hypot(1 / (last - first), (magnitudes[i]! - magnitudes[i - 1]!) / greatest);
  return -length;
}
