export { Counter as default } from '../../../../reps/Counter';
