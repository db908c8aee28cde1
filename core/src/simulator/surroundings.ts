import type { Path } from '../geometry/path';
import { distanceTo, gate, type Solid } from './world';

/** What may be set up round a drill beyond its own marks. */
export const SURROUNDINGS = ['none', 'poles', 'trees', 'wires', 'walls', 'roof', 'gates'] as const;
export type PracticeSurroundings = (typeof SURROUNDINGS)[number];

const tree = (x: number, y: number): readonly Solid[] => [
  { solid: 'pole', x, y, fromM: 0, toM: 4, radiusM: 0.25 },
  { solid: 'ball', x, y, z: 6, radiusM: 2.6 },
  { solid: 'wire', from: [x, y, 5], to: [x + 3.4, y - 1, 5.6], radiusM: 0.02 },
];
const EDGES: readonly (readonly [number, number])[] = [
  [-16, 10],
  [-15, 20],
  [-17, 31],
  [-12, 42],
  [0, 46],
  [12, 42],
  [17, 30],
  [15, 19],
  [16, 9],
  [-6, 34],
  [7, 35],
  [-8, 14],
  [9, 15],
];

const ALL: Readonly<Record<PracticeSurroundings, readonly (readonly Solid[])[]>> = {
  none: [],
  poles: EDGES.map(([x, y]) => [{ solid: 'pole', x, y, fromM: 0, toM: 6, radiusM: 0.08 }]),
  trees: EDGES.map(([x, y]) => tree(x, y)),
  wires: [8, 14, 30, 40].map((y) => [
    { solid: 'wire', from: [-40, y, 7.5], to: [40, y + 3, 7], radiusM: 0.015 },
  ]),
  walls: [
    [{ solid: 'box', x: -18, y: 24, z: 2.5, alongM: 40, acrossM: 0.4, highM: 5, turnedDeg: 0 }],
    [{ solid: 'box', x: 18, y: 24, z: 2.5, alongM: 40, acrossM: 0.4, highM: 5, turnedDeg: 0 }],
    [{ solid: 'box', x: 0, y: 46, z: 2.5, alongM: 0.4, acrossM: 36, highM: 5, turnedDeg: 0 }],
  ],
  gates: [
    [-9, 16],
    [9, 22],
    [-8, 30],
    [8, 38],
  ].map(([x, y]) => gate([x!, y!, 2], 0, 2.4)),
  roof: [[{ solid: 'box', x: 0, y: 22, z: 8, alongM: 30, acrossM: 24, highM: 0.3, turnedDeg: 0 }]],
};
const CLEAR_M = 2.5;

/** Places along a path, every metre or so. */
function along(path: Path): readonly (readonly [number, number, number])[] {
  if (path.is === 'point') return [path.at];
  const steps = 24;
  return Array.from({ length: steps + 1 }, (_, i) => {
    const share = i / steps;
    if (path.is === 'segment')
      return [
        path.from[0] + share * (path.to[0] - path.from[0]),
        path.from[1] + share * (path.to[1] - path.from[1]),
        path.from[2] + share * (path.to[2] - path.from[2]),
      ] as const;
    const b = ((path.fromDeg + share * path.sweepDeg) * Math.PI) / 180;
    return [
      path.centre[0] + path.radiusM * Math.sin(b),
      path.centre[1] + path.radiusM * Math.cos(b),
      path.centre[2],
    ] as const;
  });
}

/** What stands round a drill: whatever would stand in its own way is left out. */
export function solidsAround(kind: PracticeSurroundings, paths: readonly Path[]): readonly Solid[] {
  const places = paths.flatMap(along);
  return ALL[kind]
    .filter((group) =>
      group.every(
        (solid) =>
          places.every(([x, y, z]) => distanceTo(solid, x, y, z) > CLEAR_M) &&
          distanceTo(solid, 0, 0, 1.6) > CLEAR_M,
      ),
    )
    .flat();
}
