import type { Segment } from '../segment';

/** One passage of a gate: how far off its middle, and the room on each side for a craft in the middle, m. */
export interface GateCrossing {
  readonly offX: number;
  readonly offZ: number;
  readonly roomX: number;
  readonly roomZ: number;
  readonly atS: number;
}

/** The gates made of wires, by how far north they stand: gates stand across north. */
function gatesOf({ solids }: Segment) {
  const gates = new Map<number, { left: number; right: number; low: number; high: number }>();
  for (const solid of solids) {
    if (solid.solid !== 'wire') continue;
    const [y, x1, x2, z1, z2] = [solid.from[1], solid.from[0], solid.to[0], solid.from[2], solid.to[2]];
    const gate = gates.get(y) ?? { left: Infinity, right: -Infinity, low: Infinity, high: -Infinity };
    gates.set(y, {
      left: Math.min(gate.left, x1, x2),
      right: Math.max(gate.right, x1, x2),
      low: Math.min(gate.low, z1, z2),
      high: Math.max(gate.high, z1, z2),
    });
  }
  return gates;
}

/** Where a part of a flight passed the gates, northward. */
export function gateCrossings(segment: Segment): readonly GateCrossing[] {
  return [...gatesOf(segment)].flatMap(([y, gate]) => {
    const i = segment.samples.findIndex((s, at) => at > 0 && segment.samples[at - 1]!.y < y && s.y >= y);
    if (i < 0) return [];
    const s = segment.samples[i]!;
    return [
      {
        offX: Math.abs(s.x - (gate.left + gate.right) / 2),
        offZ: Math.abs(s.z - (gate.low + gate.high) / 2),
        roomX: (gate.right - gate.left - segment.craft.spanM) / 2,
        roomZ: (gate.high - gate.low - segment.craft.spanM) / 2,
        atS: s.t,
      },
    ];
  });
}
