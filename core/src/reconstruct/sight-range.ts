import { within } from './valid';

/**
 * Distance in m out to which a multirotor's attitude can be read: 327 m × largest dimension + 20 m.
 * From memory of European guidance on visual line of sight; check the text that applies to you.
 * @param spanM largest dimension, 0.02 to 10 m
 */
export const attitudeRange = (spanM: number): number => 327 * within('Span', spanM, [0.02, 10, 'm']) + 20;

/**
 * Distance in m out to which it can be detected at all: 0.3 × ground visibility. From memory of the same
 * guidance.
 * @param visibilityM 1 to 200 000
 */
export const detectionRange = (visibilityM: number): number =>
  0.3 * within('Visibility', visibilityM, [1, 200_000, 'm']);

/**
 * Distance in m at which something of this width spans one minute of arc, the usual limit of sharp sight
 * (20/20 acuity).
 * @param widthM 0.001 to 100
 */
export const oneMinuteOfArc = (widthM: number): number =>
  within('Width', widthM, [0.001, 100, 'm']) / Math.tan(Math.PI / (180 * 60));
