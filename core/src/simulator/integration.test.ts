import * as math from 'mathjs';
import { solveODE } from '../testing/ode';
import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import { type Acting, type BodyState, Integrator, rates, rotorsAtRest, standing } from './rigid-body';
import { craftModel } from './craft-model';

/**
 * The integrator against a general maths library's adaptive Runge–Kutta pair, and turning against its matrix
 * exponential (mathjs).
 */

const { expm, matrix, multiply } = math;

const CRAFT = craftModel(craftFacts(USUAL_CRAFT));
const acting = (): Acting => ({
  // One rotor slower than the rest, so that it turns about every axis while it flies.
  rotorSpeed: Float64Array.from([0.7, 0.7, 0.69, 0.7]),
  induced: new Float64Array(4).fill(4),
  kept: new Float64Array(4).fill(1),
  windX: 1,
  windY: -2,
  windZ: 0.3,
  power: 1,
  ground: 1,
  shake: new Float64Array(5),
  rotors: rotorsAtRest(),
});
const start = (): BodyState => ({
  ...standing(0, 0, 20, 40),
  vx: 3,
  vy: 1,
  vz: -1,
  wx: 0.5,
  wy: -0.4,
  wz: 1,
});
const listed = (s: BodyState) => [
  s.px,
  s.py,
  s.pz,
  s.vx,
  s.vy,
  s.vz,
  s.qw,
  s.qx,
  s.qy,
  s.qz,
  s.wx,
  s.wy,
  s.wz,
];
const stateOf = ([px, py, pz, vx, vy, vz, qw, qx, qy, qz, wx, wy, wz]: readonly number[]): BodyState =>
  ({ px, py, pz, vx, vy, vz, qw, qx, qy, qz, wx, wy, wz }) as BodyState;

function stepped(seconds: number, steps: number): readonly number[] {
  const [body, integrator, held] = [start(), new Integrator(CRAFT), acting()];
  for (let i = 0; i < steps; i += 1) integrator.step(body, held, seconds / steps);
  return listed(body);
}

function reference(seconds: number): readonly number[] {
  const [held, out] = [acting(), new Float64Array(13)];
  const { y } = solveODE(
    (_, y) => {
      rates(CRAFT, stateOf(y), held, out);
      return [...out];
    },
    [0, seconds],
    listed(start()),
    { method: 'RK45', tol: 1e-12, minStep: 1e-6, maxStep: 0.01 },
  );
  return y.at(-1)!;
}
const apart = (a: readonly number[], b: readonly number[]) =>
  Math.max(...a.map((value, i) => Math.abs(value - b[i]!)));

test('half the step, a sixteenth of the error: order 4', () => {
  const exact = reference(1);
  const [coarse, fine] = [apart(stepped(1, 25), exact), apart(stepped(1, 50), exact)];
  expect(Math.log2(coarse / fine)).toBeGreaterThan(3.6);
  expect(Math.log2(coarse / fine)).toBeLessThan(4.4);
  expect(apart(stepped(1, 500), exact)).toBeLessThan(1e-7);
});

test('a steady turn about any axis ends where the exponential of the turn does', () => {
  const [wx, wy, wz] = [0.75, -1.25, 2];
  // No moments of inertia tell the axes apart, and no rotor turns: the rates stay.
  const ball = { ...CRAFT, inertiaX: 1, inertiaY: 1, inertiaZ: 1 };
  const body = { ...standing(0, 0, 0, 0), wx, wy, wz };
  const [integrator, still] = [new Integrator(ball), { ...acting(), rotorSpeed: new Float64Array(4) }];
  for (let i = 0; i < 1_500; i += 1) integrator.step(body, still, 1 / 500);
  const { qw, qx, qy, qz } = body;
  const found = [
    1 - 2 * (qy * qy + qz * qz),
    2 * (qx * qy - qw * qz),
    2 * (qx * qz + qw * qy),
    2 * (qx * qy + qw * qz),
    1 - 2 * (qx * qx + qz * qz),
    2 * (qy * qz - qw * qx),
    2 * (qx * qz - qw * qy),
    2 * (qy * qz + qw * qx),
    1 - 2 * (qx * qx + qy * qy),
  ];
  // Nose to the north at first: body axes are turned a quarter from the world's.
  const first = matrix([
    [0, -1, 0],
    [1, 0, 0],
    [0, 0, 1],
  ]);
  const turn = expm(
    matrix([
      [0, -wz * 3, wy * 3],
      [wz * 3, 0, -wx * 3],
      [-wy * 3, wx * 3, 0],
    ]),
  );
  expect(apart(found, (multiply(first, turn).toArray() as number[][]).flat())).toBeLessThan(1e-8);
});
