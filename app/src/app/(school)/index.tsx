export { Home as default } from '../../shell/Home';
