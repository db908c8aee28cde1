/** Simple solids. World axes x east, y north, z up; m. */
export type Solid = Hard & {
  /** A net, a screen, a twig of tape: sensors look at it as at any other, and what flies into it goes through. */
  readonly soft?: true;
};
type Hard =
  /** A wall, a roof, a box: sides along the axes after a turn about the vertical. */
  | {
      readonly solid: 'box';
      readonly x: number;
      readonly y: number;
      readonly z: number;
      readonly alongM: number;
      readonly acrossM: number;
      readonly highM: number;
      readonly turnedDeg: number;
    }
  /** A pole or a trunk, upright. */
  | {
      readonly solid: 'pole';
      readonly x: number;
      readonly y: number;
      readonly fromM: number;
      readonly toM: number;
      readonly radiusM: number;
    }
  /** A crown of a tree. */
  | {
      readonly solid: 'ball';
      readonly x: number;
      readonly y: number;
      readonly z: number;
      readonly radiusM: number;
    }
  /** A wire, a twig: from one end to the other. */
  | {
      readonly solid: 'wire';
      readonly from: readonly [number, number, number];
      readonly to: readonly [number, number, number];
      readonly radiusM: number;
    };

/** Distance from a point to the surface of a solid, m; negative inside. */
export function distanceTo(solid: Solid, px: number, py: number, pz: number): number {
  switch (solid.solid) {
    case 'box': {
      const turned = (solid.turnedDeg * Math.PI) / 180;
      const [cos, sin] = [Math.cos(turned), Math.sin(turned)];
      const [dx, dy] = [px - solid.x, py - solid.y];
      const along = Math.abs(dx * sin + dy * cos) - solid.alongM / 2;
      const across = Math.abs(dx * cos - dy * sin) - solid.acrossM / 2;
      const up = Math.abs(pz - solid.z) - solid.highM / 2;
      const outside = Math.hypot(Math.max(0, along), Math.max(0, across), Math.max(0, up));
      return outside > 0 ? outside : Math.max(along, across, up);
    }
    case 'pole': {
      const aside = Math.hypot(px - solid.x, py - solid.y) - solid.radiusM;
      const up = pz > solid.toM ? pz - solid.toM : pz < solid.fromM ? solid.fromM - pz : 0;
      return up === 0 ? aside : Math.hypot(Math.max(0, aside), up);
    }
    case 'ball':
      return Math.hypot(px - solid.x, py - solid.y, pz - solid.z) - solid.radiusM;
    case 'wire': {
      const [ax, ay, az] = solid.from;
      const [bx, by, bz] = [solid.to[0] - ax, solid.to[1] - ay, solid.to[2] - az];
      const length = bx * bx + by * by + bz * bz;
      const share =
        length === 0
          ? 0
          : Math.min(1, Math.max(0, ((px - ax) * bx + (py - ay) * by + (pz - az) * bz) / length));
      return Math.hypot(px - ax - share * bx, py - ay - share * by, pz - az - share * bz) - solid.radiusM;
    }
  }
}

/** A gate of four bars, its opening `openM` wide and high, across a heading. @returns its bars as wires */
export function gate(
  [x, y, z]: readonly [number, number, number],
  headingDeg: number,
  openM: number,
): readonly Solid[] {
  const heading = (headingDeg * Math.PI) / 180;
  const [ox, oy] = [(Math.cos(heading) * openM) / 2, (-Math.sin(heading) * openM) / 2];
  const [low, high] = [z - openM / 2, z + openM / 2];
  const bar = (a: readonly [number, number, number], b: readonly [number, number, number]): Solid => ({
    solid: 'wire',
    from: a,
    to: b,
    radiusM: 0.03,
  });
  return [
    bar([x - ox, y - oy, low], [x - ox, y - oy, high]),
    bar([x + ox, y + oy, low], [x + ox, y + oy, high]),
    bar([x - ox, y - oy, high], [x + ox, y + oy, high]),
    bar([x - ox, y - oy, low], [x + ox, y + oy, low]),
  ];
}
