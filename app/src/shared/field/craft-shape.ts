import {
  BoxGeometry,
  type BufferGeometry,
  CylinderGeometry,
  DynamicDrawUsage,
  Group,
  InstancedMesh,
  type Material,
  Mesh,
  MeshLambertMaterial,
  Object3D,
} from 'three';
import { mergeGeometries } from 'three/examples/jsm/utils/BufferGeometryUtils.js';

export const INK = '#101618';
export const NOSE = '#C4500F';

/** Blades of rotors, each turned about its own middle. */
export class Blades {
  readonly mesh: InstancedMesh;
  private readonly at = new Object3D();

  /** @param places middles of the rotors in the craft's own axes, m */
  constructor(
    private readonly places: readonly (readonly [number, number, number])[],
    radiusM: number,
    color: string,
  ) {
    this.mesh = new InstancedMesh(
      new BoxGeometry(2 * radiusM, radiusM * 0.16, radiusM * 0.03),
      new MeshLambertMaterial({ color }),
      places.length,
    );
    this.mesh.instanceMatrix.setUsage(DynamicDrawUsage);
    this.turn(0);
  }

  /** @param turned radians since they stood; every second one turns the other way */
  turn(turned: number): void {
    this.places.forEach((place, i) => {
      this.at.position.set(...place);
      this.at.rotation.set(0, 0, i % 2 === 0 ? turned : -turned);
      this.at.updateMatrix();
      this.mesh.setMatrixAt(i, this.at.matrix);
    });
    this.mesh.instanceMatrix.needsUpdate = true;
  }
}

/** A colour that takes light and shade. */
export const matt = (color: string): Material => new MeshLambertMaterial({ color });

/** Several shapes of one colour, drawn in one call. */
function merged(parts: readonly BufferGeometry[], material: Material): Mesh {
  const mesh = new Mesh(mergeGeometries([...parts]), material);
  for (const part of parts) part.dispose();
  return mesh;
}

/**
 * The craft in its own axes: arms, rotors, a bright nose and a dark tail, so that pointing is as hard to read
 * as it is outdoors.
 */
export function craftOf(spanM: number, rotors: number): { readonly craft: Group; readonly blades: Blades } {
  const craft = new Group();
  const middles: (readonly [number, number, number])[] = [];
  const radius = spanM * 0.3;
  const dark: BufferGeometry[] = [new BoxGeometry(spanM * 0.36, spanM * 0.2, spanM * 0.12)];
  const discs: Record<'front' | 'rear', BufferGeometry[]> = { front: [], rear: [] };
  for (let i = 0; i < rotors; i += 1) {
    const angle = ((i + 0.5) * 2 * Math.PI) / rotors;
    const [x, y] = [Math.cos(angle) * spanM * 0.36, Math.sin(angle) * spanM * 0.36];
    dark.push(
      new BoxGeometry(spanM * 0.36, spanM * 0.04, spanM * 0.04).rotateZ(angle).translate(x / 2, y / 2, 0),
    );
    middles.push([x, y, spanM * 0.07]);
    // Legs, a little inside of the rotors.
    dark.push(
      new BoxGeometry(spanM * 0.03, spanM * 0.03, spanM * 0.16).translate(x * 0.6, y * 0.6, -spanM * 0.1),
    );
    discs[x > 0 ? 'front' : 'rear'].push(
      new CylinderGeometry(radius * 0.55, radius * 0.55, spanM * 0.015, 14)
        .rotateX(Math.PI / 2)
        .translate(x, y, spanM * 0.06),
    );
  }
  const disc = (color: string) => new MeshLambertMaterial({ color, transparent: true, opacity: 0.45 });
  const blades = new Blades(middles, radius * 0.55, INK);
  craft.add(
    blades.mesh,
    merged(dark, matt(INK)),
    new Mesh(
      new BoxGeometry(spanM * 0.12, spanM * 0.16, spanM * 0.1).translate(spanM * 0.22, 0, 0),
      matt(NOSE),
    ),
    merged(discs.front, disc(NOSE)),
    merged(discs.rear, disc('#3A4245')),
  );
  return { craft, blades };
}
