import { array, object } from 'yup';
import { DRILL_GROUPS } from '../drills/drill';
import { choice, line, reason, text, whole } from './fields';

const AXES = ['throttle', 'yaw', 'pitch', 'roll'] as const;
const KINDS = ['flown', 'spoken', 'ground'] as const;
const SIMULATOR = ['first', 'allowed', 'no-use'] as const;

const standard = {
  byEye: line('Standard by eye', 160),
  measured: line('Standard measured', 160),
  dose: line('Dose', 80),
  reason: reason(),
  /** The version that this was made from; 0: the house standard, or none yet. */
  base: whole('Base version', 0, 10_000),
};

export const standardShape = object(standard).noUnknown();

export const ownDrillShape = object({
  name: line('Name', 60),
  trains: line('Trains', 120),
  task: line('What the pilot does', 600),
  group: choice(
    'Group',
    DRILL_GROUPS.map((group) => group.id),
  ),
  kind: choice('Kind', KINDS),
  simulator: choice('Simulator', SIMULATOR),
  sticks: array(choice('Stick', AXES)).max(4).default([]),
  caution: text('Caution', 200),
  ...standard,
}).noUnknown();
