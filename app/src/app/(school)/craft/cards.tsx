export { CraftCards as default } from '../../../lazy';
