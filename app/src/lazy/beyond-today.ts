/**
 * Every screen but Today, the lists and the log, with the drills, arithmetic and checks of input they share.
 */
export * from './work';
export * from './forms';
export * from './debrief';
