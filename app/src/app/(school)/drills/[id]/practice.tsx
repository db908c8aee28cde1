export { PracticeScreen as default } from '../../../../screens';
