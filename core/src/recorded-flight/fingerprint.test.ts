import type { RecordedField } from './mapping/fields';
import { fingerprintOf } from './fingerprint';
import type { Recording } from './recording';

const flight = (hz: number, part: Partial<Recording> = {}, offM = 0): Recording => {
  const t = Float64Array.from({ length: 60 * hz + 1 }, (_, i) => i / hz);
  const channels = new Map<RecordedField, Float64Array>([
    ['east', t.map((s) => 4 * s + offM)],
    ['north', t.map((s) => Math.sin(s))],
  ]);
  return { t, startedAt: null, origin: null, channels, hz, gaps: [], ...part };
};
const WHERE = { startedAt: 1_778_000_000.2, origin: { latDeg: 61.00012, lonDeg: 8.50003 } };

test('a flight is the same in another file, at another rate and with other columns', () => {
  expect(fingerprintOf(flight(50, WHERE))).toBe(
    fingerprintOf(flight(5, { ...WHERE, startedAt: 1_778_000_000.4 })),
  );
  expect(fingerprintOf(flight(50))).toBe(fingerprintOf(flight(25)));
});

test('another flight is another: later, elsewhere, or another way', () => {
  const one = fingerprintOf(flight(25, WHERE));
  expect(fingerprintOf(flight(25, { ...WHERE, startedAt: WHERE.startedAt + 90 }))).not.toBe(one);
  expect(fingerprintOf(flight(25, { ...WHERE, origin: { latDeg: 61.02, lonDeg: 8.5 } }))).not.toBe(one);
  expect(fingerprintOf(flight(25, {}, 7))).not.toBe(fingerprintOf(flight(25)));
});
