import { object } from 'yup';
import { METHODS } from '../methods/methods';
import { choice, choiceOrNone } from './fields';

/** How a school teaches, each question answered. */
export const methodsShape = object({
  assistance: choice('method-assistance', METHODS.assistance),
  holdOff: choice('method-hold-off', METHODS.holdOff),
  noseIn: choice('method-nose-in', METHODS.noseIn),
  gapSpeed: choice('method-gap-speed', METHODS.gapSpeed),
  sensors: choice('method-sensors', METHODS.sensors),
  mixing: choice('method-mixing', METHODS.mixing),
}).noUnknown();

/** What one pilot is taught otherwise; null: as the school teaches. */
export const ownMethodsShape = object({
  holdOff: choiceOrNone('method-hold-off', METHODS.holdOff),
  noseIn: choiceOrNone('method-nose-in', METHODS.noseIn),
  gapSpeed: choiceOrNone('method-gap-speed', METHODS.gapSpeed),
  sensors: choiceOrNone('method-sensors', METHODS.sensors),
  mixing: choiceOrNone('method-mixing', METHODS.mixing),
}).noUnknown();
