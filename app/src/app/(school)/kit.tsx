export { More as default } from '../../features/more/More';
