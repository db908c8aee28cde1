export { LinkedPractice as default } from '../lazy';
