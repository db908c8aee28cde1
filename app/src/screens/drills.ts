/** The drill library: the movements and how they are drawn. */
export { DrillScreen } from '../library/DrillScreen';
export { DrillsScreen } from '../library/DrillsScreen';
