export { Kit as default } from '../../kit/Kit';
