export { EditCraft as default } from '../../../lazy';
