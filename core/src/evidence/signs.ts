import { JOINT_SIGNS } from './joint-signs';
import { PHYSICAL_SIGNS } from './physical-signs';
import type { Sign } from './sign';

export const SIGNS: readonly Sign[] = [...PHYSICAL_SIGNS, ...JOINT_SIGNS];

const BY_ID: ReadonlyMap<string, Sign> = new Map(SIGNS.map((sign) => [sign.id, sign]));
export const signOf = (id: string): Sign | undefined => BY_ID.get(id);
