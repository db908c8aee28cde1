export { DrillScreen as default } from '../../../../screens';
