export { Flights as default } from '../../features/flights/Flights';
