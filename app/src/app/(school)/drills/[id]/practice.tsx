export { PracticeScreen as default } from '../../../../lazy';
