import {
  BoxGeometry,
  BufferAttribute,
  BufferGeometry,
  CanvasTexture,
  Color,
  ConeGeometry,
  CylinderGeometry,
  DoubleSide,
  Group,
  IcosahedronGeometry,
  InstancedMesh,
  type Material,
  Mesh,
  MeshBasicMaterial,
  Object3D,
  PlaneGeometry,
  RepeatWrapping,
  SphereGeometry,
  SRGBColorSpace,
} from 'three';
import { mergeGeometries } from 'three/examples/jsm/utils/BufferGeometryUtils.js';
import { matt } from './craft-shape';

/**
 * Where it is flown: a meadow under hills, with what gives distance and height a measure. It is looked at, and never hit:
 * what stands high enough to be in the way is beyond the fence. Every kind of thing is one call.
 */

const GRASS = ['#A2A981', '#AAB089', '#9AA279', '#B0B48E'];
const MOWN = ['#B4B990', '#ABB187'];
const [TRUNK, NEEDLES, FAR_HILL, NEAR_HILL] = ['#5A4A38', '#55653F', '#B4C4C9', '#8FA39A'];
const [WALL, ROOF, POST, CLOUD] = ['#B9AE96', '#6B4A3A', '#7C7156', '#F4F6F4'];
const [SKY_LOW, SKY_HIGH] = ['#DCE6EA', '#9DBCCB'];
const CLOTHES = ['#C4500F', '#3A4245'];

/** The same place every time: a pilot learns it. */
function drawing(seed: number): () => number {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 2 ** 32;
  };
}

/** Mottled grass, some metres of it, to be laid side by side. */
function grass(colors: readonly string[], seed: number): CanvasTexture | null {
  const size = 128;
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [size, size];
  const pen = canvas.getContext('2d');
  if (!pen) return null;
  const draw = drawing(seed);
  pen.fillStyle = colors[0]!;
  pen.fillRect(0, 0, size, size);
  for (let i = 0; i < 900; i += 1) {
    pen.fillStyle = colors[Math.floor(draw() * colors.length)]!;
    const [x, y, blade] = [draw() * size, draw() * size, 1 + draw() * 5];
    // What leaves at one edge comes in at the other: no seam shows.
    for (const dx of [-size, 0, size]) pen.fillRect(x + dx, y, 1.5, blade);
  }
  const texture = new CanvasTexture(canvas);
  texture.wrapS = RepeatWrapping;
  texture.wrapT = RepeatWrapping;
  texture.colorSpace = SRGBColorSpace;
  texture.anisotropy = 4;
  return texture;
}

function lawn(widthM: number, lengthM: number, colors: readonly string[], metresATile: number): Mesh {
  const map = grass(colors, colors.length * 7);
  map?.repeat.set(widthM / metresATile, lengthM / metresATile);
  return new Mesh(
    new PlaneGeometry(widthM, lengthM),
    map ? new MeshBasicMaterial({ map }) : new MeshBasicMaterial({ color: colors[0]! }),
  );
}

interface Stood {
  readonly x: number;
  readonly y: number;
  readonly z?: number;
  readonly scale: readonly [number, number, number];
  readonly turned?: number;
}

/** Many of one shape in one call. */
function many(shape: BufferGeometry, material: Material, all: readonly Stood[]) {
  const mesh = new InstancedMesh(shape, material, all.length);
  const at = new Object3D();
  all.forEach(({ x, y, z = 0, scale, turned = 0 }, i) => {
    at.position.set(x, y, z);
    at.rotation.set(0, 0, turned);
    at.scale.set(...scale);
    at.updateMatrix();
    mesh.setMatrixAt(i, at.matrix);
  });
  return mesh;
}

const upright = <Shape extends BufferGeometry>(shape: Shape, lift: number): Shape => {
  shape.rotateX(Math.PI / 2).translate(0, 0, lift);
  return shape;
};

function trees(): readonly InstancedMesh[] {
  const draw = drawing(11);
  const all = Array.from({ length: 150 }, (): Stood => {
    // Round the field, denser ahead; none where the hut stands.
    const bearing = (draw() - 0.5) * 2 * Math.PI * (0.35 + 0.65 * draw());
    const away = 150 + 90 * draw();
    const high = 7 + 9 * draw();
    return {
      x: Math.sin(bearing) * away,
      y: 40 + Math.cos(bearing) * away,
      scale: [high / 3, high / 3, high],
    };
  });
  return [
    many(upright(new ConeGeometry(0.75, 0.85, 7), 0.575), matt(NEEDLES), all),
    many(upright(new CylinderGeometry(0.09, 0.12, 0.2, 5), 0.1), matt(TRUNK), all),
  ];
}

/** A line of hills all round, as a strip that stands. */
function hills(away: number, highM: number, color: string, seed: number): Mesh {
  const steps = 120;
  const waves = Array.from({ length: 5 }, (_, i) => [i * 2 + 3, seed + i * 1.7] as const);
  const heightAt = (angle: number) =>
    highM *
    (0.45 +
      waves.reduce((sum, [times, from], i) => sum + Math.sin(angle * times + from) / (i + 2.5), 0) / 2.6);
  const places: number[] = [];
  const faces: number[] = [];
  for (let i = 0; i <= steps; i += 1) {
    const angle = (2 * Math.PI * i) / steps;
    const [x, y] = [Math.sin(angle) * away, Math.cos(angle) * away];
    places.push(x, y, -2, x, y, Math.max(2, heightAt(angle)));
    if (i < steps) faces.push(2 * i, 2 * i + 1, 2 * i + 2, 2 * i + 1, 2 * i + 3, 2 * i + 2);
  }
  const shape = new BufferGeometry();
  shape.setAttribute('position', new BufferAttribute(new Float32Array(places), 3));
  shape.setIndex(faces);
  return new Mesh(shape, new MeshBasicMaterial({ color, side: DoubleSide, fog: false }));
}

/** Paler at the horizon, where haze is. */
function sky(radiusM: number): Mesh {
  const shape = new SphereGeometry(radiusM, 24, 12).rotateX(Math.PI / 2);
  const [low, high, place] = [new Color(SKY_LOW), new Color(SKY_HIGH), shape.getAttribute('position')];
  const colors = new Float32Array(place.count * 3);
  for (let i = 0; i < place.count; i += 1) {
    const up = Math.min(1, Math.max(0, place.getZ(i) / radiusM) * 1.6);
    low
      .clone()
      .lerp(high, up)
      .toArray(colors, 3 * i);
  }
  shape.setAttribute('color', new BufferAttribute(colors, 3));
  return new Mesh(
    shape,
    new MeshBasicMaterial({ vertexColors: true, side: DoubleSide, fog: false, depthWrite: false }),
  );
}

function clouds(): InstancedMesh {
  const draw = drawing(5);
  const puffs = Array.from({ length: 9 }, () => ({
    bearing: draw() * 2 * Math.PI,
    high: 70 + 50 * draw(),
  })).flatMap(({ bearing, high }) =>
    Array.from({ length: 4 }, (): Stood => {
      const wide = 9 + 12 * draw();
      const along = bearing + (draw() - 0.5) * 0.16;
      return {
        ...{ x: Math.sin(along) * 310, y: Math.cos(along) * 310, z: high + 5 * draw(), turned: -along },
        scale: [wide, wide * 0.6, wide * 0.32],
      };
    }),
  );
  return many(new IcosahedronGeometry(1, 2), new MeshBasicMaterial({ color: CLOUD, fog: false }), puffs);
}

/** A hut with a roof, and two people who stand by it: what is known by its size. */
function hut(): readonly Mesh[] {
  const walls = new BoxGeometry(7, 5, 2.6).translate(0, 0, 1.3);
  const roof = new ConeGeometry(5.2, 2, 4)
    .rotateY(Math.PI / 4)
    .rotateX(Math.PI / 2)
    .translate(0, 0, 3.6);
  const person = (x: number) =>
    mergeGeometries([
      upright(new CylinderGeometry(0.2, 0.24, 1.45, 7), 0.725).translate(x, 0, 0),
      new SphereGeometry(0.14, 7, 6).translate(x, 0, 1.62),
    ]);
  const [first, second] = CLOTHES;
  const all = [
    new Mesh(walls, matt(WALL)),
    new Mesh(roof, matt(ROOF)),
    new Mesh(person(-6), matt(first!)),
    new Mesh(person(-7.4), matt(second!)),
  ];
  for (const mesh of all) mesh.position.set(-58, 118, 0);
  return all;
}

/** Along the sides and the end of the mown field. */
function fence(): readonly InstancedMesh[] {
  const posts: Stood[] = [];
  const rails: Stood[] = [];
  const side = (fromX: number, fromY: number, toX: number, toY: number) => {
    const length = Math.hypot(toX - fromX, toY - fromY);
    const steps = Math.round(length / 6);
    const turned = Math.atan2(toY - fromY, toX - fromX);
    for (let i = 0; i <= steps; i += 1) {
      const [x, y] = [fromX + ((toX - fromX) * i) / steps, fromY + ((toY - fromY) * i) / steps];
      posts.push({ x, y, z: 0.55, scale: [0.1, 0.1, 1.1] });
    }
    for (const z of [0.5, 0.95])
      rails.push({ x: (fromX + toX) / 2, y: (fromY + toY) / 2, z, turned, scale: [length, 0.05, 0.07] });
  };
  side(-75, -20, -75, 110);
  side(-75, 110, 75, 110);
  side(75, 110, 75, -20);
  const box = () => new BoxGeometry(1, 1, 1);
  return [many(box(), matt(POST), posts), many(box(), matt(POST), rails)];
}

/** Longer grass here and there, which says how far the ground is. */
function tufts(): InstancedMesh {
  const draw = drawing(23);
  const blade = () => new ConeGeometry(0.09, 0.34, 3);
  const shape = mergeGeometries([
    upright(blade(), 0.17),
    upright(blade().rotateZ(0.5), 0.14).translate(0.07, 0.03, 0),
    upright(blade().rotateZ(-0.5), 0.14).translate(-0.06, -0.04, 0),
  ]);
  const all = Array.from({ length: 700 }, (): Stood => {
    const size = 0.6 + draw();
    return {
      ...{ x: (draw() - 0.5) * 150, y: -12 + draw() * 125, turned: draw() * 6.3 },
      scale: [size, size, size],
    };
  });
  return many(shape, matt('#8C9565'), all);
}

/** Everything that stands around, and what of it a weak phone does without. */
export function placeOf(fieldM: number): { readonly ground: Group; readonly around: Group } {
  const [ground, around] = [new Group(), new Group()];
  const mown = lawn(80, 100, MOWN, 6);
  mown.position.set(0, 40, 0.005);
  ground.add(lawn(2 * fieldM, 2 * fieldM, GRASS, 9), mown);
  around.add(
    sky(fieldM * 0.95),
    hills(fieldM * 0.9, 62, FAR_HILL, 2),
    hills(fieldM * 0.78, 30, NEAR_HILL, 5),
    clouds(),
    ...trees(),
    ...hut(),
    ...fence(),
    tufts(),
  );
  return { ground, around };
}
