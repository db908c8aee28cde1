export { Frame as default } from '../../session/Frame';
