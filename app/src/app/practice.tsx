export { LinkedPractice as default } from '../screens';
