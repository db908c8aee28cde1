import { saidAgainstDecided } from './calibration';

const said = (probability: number, decidedSo: boolean) => ({ probability, decidedSo });

test('debriefs are put together by how sure it was, each with what was decided', () => {
  const bins = saidAgainstDecided([said(0.61, true), said(0.63, false), said(0.9, true), said(0.2, false)]);
  expect(bins.map(({ debriefs, decidedSo }) => [debriefs, decidedSo])).toEqual([
    [1, 0],
    [2, 1],
    [1, 1],
  ]);
  expect(bins[1]!.said).toBeCloseTo(0.62, 12);
});

test('the interval is exact: 44 of 51 are 74 to 94 % (Clopper and Pearson 1934, by any table)', () => {
  const [bin] = saidAgainstDecided(Array.from({ length: 51 }, (_, i) => said(0.8, i < 44)));
  expect(bin!.interval.low).toBeCloseTo(0.74, 2);
  expect(bin!.interval.high).toBeCloseTo(0.94, 2);
});

test('nothing said is nothing told; what is quite sure is told too', () => {
  expect(saidAgainstDecided([])).toEqual([]);
  expect(saidAgainstDecided([said(1, true)])).toHaveLength(1);
});
