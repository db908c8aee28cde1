export { DrillScreen as default } from '../../../../lazy';
