import { all, create } from 'mathjs';
import { spectralArcLength } from './spectral-arc-length';

const math = create(all!);

/** A movement of one speed peak, from rest to rest: the minimum-jerk profile of Flash and Hogan 1985. */
const minimumJerk = (seconds: number, hz: number, most = 1): number[] =>
  Array.from({ length: Math.round(seconds * hz) + 1 }, (_, i) => {
    const s = i / (seconds * hz);
    return most * 30 * s ** 2 * (1 - s) ** 2;
  });

/** The published definition, spelled out with a general library's transform. */
function byDefinition(speeds: readonly number[], hz: number): number {
  const size = 2 ** (Math.ceil(Math.log2(speeds.length)) + 4);
  const padded = [...speeds, ...new Array<number>(size - speeds.length).fill(0)];
  const transform = math.fft(padded) as unknown as { re: number; im: number }[];
  const magnitudes = transform.map(({ re, im }) => Math.hypot(re, im));
  const top = Math.max(...magnitudes);
  const kept = magnitudes.map((m, i) => ({ f: (i * hz) / size, m: m / top })).filter(({ f }) => f <= 10);
  const last = kept.reduce((found, { m }, i) => (m >= 0.05 ? i : found), 0);
  let length = 0;
  for (let i = 1; i <= last; i += 1)
    length += Math.sqrt(
      ((kept[i]!.f - kept[i - 1]!.f) / kept[last]!.f) ** 2 + (kept[i]!.m - kept[i - 1]!.m) ** 2,
    );
  return -length;
}

test('as the published definition gives it, with a general library for the transform', () => {
  const halting = minimumJerk(1, 100).concat(minimumJerk(1, 100));
  for (const speeds of [minimumJerk(1, 100), halting, minimumJerk(2, 50)])
    expect(spectralArcLength(speeds, speeds.length === 101 && speeds !== halting ? 100 : 50)).toBeCloseTo(
      byDefinition(speeds, speeds.length === 101 && speeds !== halting ? 100 : 50),
      9,
    );
});

test('a bell-shaped movement, whose spectrum is a bell too: the arc by its integral', () => {
  // Speed exp(−t²/2σ²); spectrum exp(−(2πfσ)²/2), cut where it is a twentieth: the length of exp(−ln 20 · x²)
  // from 0 to 1.
  const sigma = 0.15;
  const speeds = Array.from({ length: 301 }, (_, i) =>
    Math.exp(-(((i - 150) / 100) ** 2) / (2 * sigma ** 2)),
  );
  const steps = 20_000;
  let arc = 0;
  for (let i = 0; i < steps; i += 1) {
    const x = (i + 0.5) / steps;
    const slope = 2 * Math.log(20) * x * Math.exp(-Math.log(20) * x * x);
    arc += Math.hypot(1, slope) / steps;
  }
  expect(spectralArcLength(speeds, 100)).toBeCloseTo(-arc, 1);
});

test('neither size nor pace of a movement counts, but halts in it do (Balasubramanian et al. 2015)', () => {
  const smooth = spectralArcLength(minimumJerk(1, 200), 200);
  expect(spectralArcLength(minimumJerk(1, 200, 7), 200)).toBeCloseTo(smooth, 9);
  expect(spectralArcLength(minimumJerk(2, 200), 200)).toBeCloseTo(smooth, 1);
  expect(spectralArcLength([...minimumJerk(1, 200), ...minimumJerk(1, 200)], 200)).toBeLessThan(smooth - 0.3);
  expect(() => spectralArcLength([0, 0, 0, 0], 100)).toThrow(/stands still/);
  expect(() => spectralArcLength([1, 2], 100)).toThrow(/four values/);
});
