export { HelpScreen as default } from '../../lazy';
