import { may, type Right } from '@skelby/core/people/roles';
import { useWho } from './use-who';

/** Whether whoever is signed in has a right here; the server asks again. */
export const useMay = (right: Right): boolean => may(useWho()?.role, right);
