export { EditCraft as default } from '../../../screens';
