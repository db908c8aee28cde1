import type { Side } from '../drills/drill';
import type { CueId } from '../vocabulary/cues';
import type { ScenePose } from './fly';
import type { SceneLeg } from './legs';

/** Something set up on the field, m from the pilot; x to the right, y ahead. */
export interface Mark {
  readonly is: 'mark' | 'post' | 'pad' | 'gate' | 'wall' | 'roof';
  readonly x: number;
  readonly y: number;
  /** Of a gate, wall or roof: how wide across (along x unless `deep`), m. */
  readonly width?: number;
  /** Of a gate, wall or roof: its height; of a post: how tall, m. */
  readonly height?: number;
  /** Stands along y instead of along x. */
  readonly deep?: boolean;
  /** A net or a twig, which may be flown into. */
  readonly soft?: true;
  readonly label?: CueId;
}

/** Which way is out when it goes wrong. */
export type WayOut = 'up' | 'ahead' | 'left' | 'right';

/** A drill as it is set up and flown. */
export interface Scene {
  readonly start: ScenePose;
  readonly legs: readonly SceneLeg[];
  readonly marks: readonly Mark[];
  /** Where the wind should come from, seen by the pilot: 0 ahead, 90 right. */
  readonly windFromDeg: number;
  readonly wayOut: WayOut;
  /** The pilot walks along behind the craft. */
  readonly walks?: true;
  /** The side that is drawn; the others are its mirror image, or their own movement in `sides`. */
  readonly side?: Side;
  readonly sides?: Readonly<
    Partial<Record<Side, { readonly start: ScenePose; readonly legs: readonly SceneLeg[] }>>
  >;
}
