export { Flights as default } from '../../../kit/Flights';
