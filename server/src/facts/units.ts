import type { Units } from '@skelby/core/vocabulary/units';
import type { SchoolTx } from '../db/in-school';

export async function unitsOf({ tx }: SchoolTx): Promise<Units> {
  const { lengthUnit, speedUnit } = (await tx('schools').first('length_unit', 'speed_unit')) as {
    lengthUnit: Units['length'];
    speedUnit: Units['speed'];
  };
  return { length: lengthUnit, speed: speedUnit };
}
