/** The drill library, and the pilot's own page that shows its movements. */
export { DrillScreen } from '../library/DrillScreen';
export { DrillsScreen } from '../library/DrillsScreen';
export { OwnPage } from '../own/OwnPage';
