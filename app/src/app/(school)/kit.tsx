export { Equipment as default } from '../../features/equipment/Equipment';
