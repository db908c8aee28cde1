import { array, object } from 'yup';
import { DRILL_GROUPS } from '../drills/drill';
import { choice, line, reason, text, whole } from './fields';

const AXES = ['throttle', 'yaw', 'pitch', 'roll'] as const;
const KINDS = ['flown', 'spoken', 'ground'] as const;
const SIMULATOR = ['first', 'allowed', 'no-use'] as const;

const standard = {
  byEye: line('standard-by-eye', 160),
  measured: line('standard-measured', 160),
  dose: line('dose', 80),
  reason: reason(),
  /** The version that this was made from; 0: the house standard, or none yet. */
  base: whole('base-version', 0, 10_000),
};

export const standardShape = object(standard).noUnknown();

export const ownDrillShape = object({
  name: line('name', 60),
  trains: line('trains', 120),
  task: line('what-the-pilot-does', 600),
  group: choice('group', DRILL_GROUPS),
  kind: choice('kind', KINDS),
  simulator: choice('simulator', SIMULATOR),
  sticks: array(choice('stick', AXES)).max(4).default([]),
  caution: text('caution', 200),
  ...standard,
}).noUnknown();
