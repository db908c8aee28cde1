export { Kit as default } from '../../features/equipment/Equipment';
