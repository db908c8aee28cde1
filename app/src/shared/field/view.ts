import type { Mark } from '@skelby/core/choreography/scene';
import type { Solid } from '@skelby/core/simulator/world';
import {
  BoxGeometry,
  BufferGeometry,
  CircleGeometry,
  Color,
  ConeGeometry,
  CylinderGeometry,
  DirectionalLight,
  Fog,
  Group,
  HemisphereLight,
  Line,
  LineBasicMaterial,
  LineSegments,
  type Material,
  Mesh,
  MeshBasicMaterial,
  MeshLambertMaterial,
  PerspectiveCamera,
  RingGeometry,
  Scene,
  SphereGeometry,
  type Texture,
  Vector3,
  WebGLRenderer,
} from 'three';
import { FramePace } from './frame-pace';
import { type Blades, craftOf, INK, matt, NOSE } from './craft-shape';
import { placeOf } from './place';

/** World axes as the flight has them: x east, y north, z up. */
const EYE_M = 1.65;
/**
 * How wide the pilot looks when the craft is near. Farther off eyes look harder than a screen can show: the
 * view narrows with the root of the distance, and the craft still shrinks.
 */
const SIGHT_DEG = 50;
const NEAR_M = 10;
const NARROWEST_DEG = 16;
const CAMERA_DEG = 80;
const FIELD_M = 400;
/** Lower it stands. */
const ON_GROUND_M = 0.06;
/** Between two pictures a rotor turns by more than the eye follows. */
const BLADE_STEP = 1.9;

const SKY = '#DCE6EA';
const PALE = '#F7F5EC';
const GATE_BAR_M = 0.1;

export interface Look {
  readonly spanM: number;
  readonly rotors: number;
  readonly marks: readonly Mark[];
  readonly solids: readonly Solid[];
  readonly wind: { readonly speedMps: number; readonly fromDeg: number };
}

/** One picture's worth. */
export interface DrawnPose {
  readonly position: readonly [number, number, number];
  /** Body to world: w, x, y, z. */
  readonly attitude: readonly [number, number, number, number];
  /** Where the pilot stands. */
  readonly pilot: { readonly x: number; readonly y: number };
}

export interface Drawn {
  readonly calls: number;
  readonly triangles: number;
}

function solidMesh(solid: Solid): Mesh {
  switch (solid.solid) {
    case 'box': {
      const mesh = new Mesh(new BoxGeometry(solid.acrossM, solid.alongM, solid.highM), matt('#8D8671'));
      mesh.position.set(solid.x, solid.y, solid.z);
      mesh.rotation.z = (-solid.turnedDeg * Math.PI) / 180;
      return mesh;
    }
    case 'pole': {
      const mesh = new Mesh(
        new CylinderGeometry(solid.radiusM, solid.radiusM, solid.toM - solid.fromM, 8),
        matt(INK),
      );
      mesh.rotation.x = Math.PI / 2;
      mesh.position.set(solid.x, solid.y, (solid.fromM + solid.toM) / 2);
      return mesh;
    }
    case 'ball': {
      const mesh = new Mesh(new SphereGeometry(solid.radiusM, 10, 8), matt('#5E6B45'));
      mesh.position.set(solid.x, solid.y, solid.z);
      return mesh;
    }
    case 'wire': {
      const [from, to] = [new Vector3(...solid.from), new Vector3(...solid.to)];
      const mesh = new Mesh(
        new CylinderGeometry(solid.radiusM, solid.radiusM, from.distanceTo(to), 6),
        matt(INK),
      );
      mesh.position.copy(from).lerp(to, 0.5);
      mesh.quaternion.setFromUnitVectors(new Vector3(0, 1, 0), to.sub(from).normalize());
      return mesh;
    }
  }
}

/** A gate is seen from afar: its bars in the colour of the cones, a little thicker than they are. */
function gateFrame({ x, y, width = 2, height = 3, deep = false }: Mark): Group {
  const frame = new Group();
  const material = new MeshLambertMaterial({ color: NOSE });
  const [middle, half] = [Math.max(height, width) - width / 2, width / 2];
  const bar = (acrossM: number, upM: number, at: readonly [number, number]) => {
    const mesh = new Mesh(new BoxGeometry(acrossM, GATE_BAR_M, upM), material);
    mesh.position.set(at[0], 0, at[1]);
    frame.add(mesh);
  };
  for (const side of [-1, 1]) {
    bar(GATE_BAR_M, width, [side * half, middle]);
    bar(width, GATE_BAR_M, [0, middle + side * half]);
    bar(GATE_BAR_M, middle - half, [side * half, (middle - half) / 2]);
  }
  frame.position.set(x, y, 0);
  frame.rotation.z = deep ? Math.PI / 2 : 0;
  return frame;
}

/** A sock on a pole: it points down the wind and hangs when there is little. */
function sockOf({ speedMps, fromDeg }: Look['wind']): Group {
  const sock = new Group();
  const pole = new Mesh(new CylinderGeometry(0.04, 0.04, 3, 6), matt(INK));
  pole.rotation.x = Math.PI / 2;
  pole.position.z = 1.5;
  const cloth = new Mesh(new ConeGeometry(0.22, 1.2, 10), matt(NOSE));
  const [toward, lift] = [((fromDeg + 180) * Math.PI) / 180, Math.min(1, speedMps / 7.5)];
  const along = new Vector3(Math.sin(toward) * lift, Math.cos(toward) * lift, -Math.sqrt(1 - lift * lift));
  cloth.quaternion.setFromUnitVectors(new Vector3(0, 1, 0), along);
  cloth.position.set(0, 0, 3).addScaledVector(along, 0.6);
  sock.add(pole, cloth);
  sock.position.set(-4, 12, 0);
  return sock;
}

/** The field as the pilot, or the craft's own camera, sees it. */
export class PracticeView {
  private readonly scene = new Scene();
  private readonly renderer: WebGLRenderer;
  private readonly sight = new PerspectiveCamera(SIGHT_DEG, 1, 0.05, FIELD_M);
  private readonly craft: Group;
  private readonly blades: Blades;
  private readonly around: Group;
  private readonly pace = new FramePace();
  private readonly shadow: Mesh;
  private path: Line | null = null;
  throughCamera = false;
  /** Up from level, °. */
  cameraDeg = 15;
  /** The pilot looks away. */
  blind = false;

  constructor(canvas: HTMLCanvasElement, look: Look) {
    this.renderer = new WebGLRenderer({ canvas, antialias: true, powerPreference: 'low-power' });
    this.renderer.setPixelRatio(Math.min(2, window.devicePixelRatio));
    this.scene.background = new Color(SKY);
    this.scene.fog = new Fog(SKY, 120, FIELD_M);
    this.scene.add(new HemisphereLight('#FFFFFF', '#77785F', 2.2));
    const sun = new DirectionalLight('#FFFFFF', 1.4);
    sun.position.set(-30, -20, 60);
    this.scene.add(sun);
    const { ground, around } = placeOf(FIELD_M);
    this.around = around;
    this.scene.add(ground, around);
    this.addLines();
    for (const mark of look.marks) this.addMark(mark);
    for (const solid of look.solids) this.scene.add(solidMesh(solid));
    this.scene.add(sockOf(look.wind));
    ({ craft: this.craft, blades: this.blades } = craftOf(look.spanM, look.rotors));
    this.shadow = new Mesh(
      new CircleGeometry(look.spanM * 0.5, 16),
      new MeshBasicMaterial({ color: INK, transparent: true, opacity: 0.35, depthWrite: false }),
    );
    this.scene.add(this.craft, this.shadow);
    this.sight.up.set(0, 0, 1);
  }

  /** Lines across the field every ten metres: without them distance cannot be judged. */
  private addLines(): void {
    const material = new LineBasicMaterial({ color: '#8E9270' });
    const points: Vector3[] = [];
    for (let y = 10; y <= 80; y += 10) points.push(new Vector3(-40, y, 0.01), new Vector3(40, y, 0.01));
    this.scene.add(new LineSegments(new BufferGeometry().setFromPoints(points), material));
  }

  private addMark(mark: Mark): void {
    const { is, x, y } = mark;
    if (is === 'gate') this.scene.add(gateFrame(mark));
    if (is !== 'mark' && is !== 'pad') return;
    const flat = new Mesh(
      is === 'pad' ? new CircleGeometry(0.6, 24) : new RingGeometry(0.45, 0.7, 24),
      new MeshBasicMaterial({ color: PALE }),
    );
    flat.position.set(x, y, 0.02);
    this.scene.add(flat);
    if (is === 'pad') return;
    // As a trainer sets it out: seen from afar, and too low to be in the way.
    const cone = new Mesh(
      new ConeGeometry(0.16, 0.42, 10).rotateX(Math.PI / 2),
      new MeshLambertMaterial({ color: NOSE }),
    );
    cone.position.set(x, y, 0.21);
    this.scene.add(cone);
  }

  resize(width: number, height: number): void {
    this.renderer.setSize(width, height, false);
    this.sight.aspect = width / height;
    this.sight.updateProjectionMatrix();
  }

  /** For a device that draws slowly: the field without what stands around it, and no finer than its pixels are told. */
  private becomePlain(): void {
    this.around.visible = false;
    this.renderer.setPixelRatio(1);
  }

  /** Draws the way flown, from place to place; null takes it off. */
  showPath(places: readonly (readonly [number, number, number])[] | null): void {
    if (this.path) {
      this.scene.remove(this.path);
      this.path.geometry.dispose();
      (this.path.material as Material).dispose();
      this.path = null;
    }
    if (!places || places.length < 2) return;
    this.path = new Line(
      new BufferGeometry().setFromPoints(places.map((place) => new Vector3(...place))),
      new LineBasicMaterial({ color: INK }),
    );
    this.scene.add(this.path);
  }

  draw({ position: [x, y, z], attitude: [w, i, j, k], pilot }: DrawnPose): Drawn {
    const { craft, shadow, sight } = this;
    craft.position.set(x, y, Math.max(z, 0.03));
    craft.quaternion.set(i, j, k, w);
    // On the ground they stand; what turns says that it flies.
    if (z > ON_GROUND_M) this.blades.turn(this.pace.drawn * BLADE_STEP);
    if (this.around.visible && this.pace.isSlow(performance.now())) this.becomePlain();
    shadow.position.set(x, y, 0.03);
    shadow.scale.setScalar(1 + z / 12);
    (shadow.material as MeshBasicMaterial).opacity = 0.35 / (1 + z / 8);
    craft.visible = !this.throughCamera;
    const away = Math.hypot(x - pilot.x, y - pilot.y, z - EYE_M);
    const degrees = this.throughCamera
      ? CAMERA_DEG
      : Math.max(NARROWEST_DEG, SIGHT_DEG * Math.sqrt(Math.min(1, NEAR_M / away)));
    if (Math.abs(sight.fov - degrees) > 0.05) {
      sight.fov = degrees;
      sight.updateProjectionMatrix();
    }
    if (this.throughCamera) {
      const tilt = (this.cameraDeg * Math.PI) / 180;
      const ahead = new Vector3(Math.cos(tilt), 0, Math.sin(tilt)).applyQuaternion(craft.quaternion);
      sight.up.set(-Math.sin(tilt), 0, Math.cos(tilt)).applyQuaternion(craft.quaternion);
      sight.position.copy(craft.position);
      sight.lookAt(ahead.add(craft.position));
    } else {
      sight.up.set(0, 0, 1);
      sight.position.set(pilot.x, pilot.y, EYE_M);
      if (this.blind) sight.lookAt(pilot.x, pilot.y - 10, 0.2);
      else sight.lookAt(x, y, Math.max(0.4, z));
    }
    this.renderer.render(this.scene, sight);
    return this.renderer.info.render;
  }

  dispose(): void {
    this.scene.traverse((each) => {
      if (!(each instanceof Mesh || each instanceof Line)) return;
      each.geometry.dispose();
      for (const material of [each.material].flat() as (Material & { readonly map?: Texture | null })[]) {
        material.map?.dispose();
        material.dispose();
      }
    });
    this.renderer.dispose();
  }
}
