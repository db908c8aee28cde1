/**
 * Every screen but Today, the lists and the log, with the drills, arithmetic and checks of input they share.
 */
import { applyToWeakness } from '@skelby/core/weakness/apply';
import { provideArithmetic } from '../offline/overlay/arithmetic';

provideArithmetic({ applyToWeakness });

export * from './work';
export * from './forms';
export * from './debrief';
