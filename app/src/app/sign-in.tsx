export { SignIn as default } from '../shell/SignIn';
