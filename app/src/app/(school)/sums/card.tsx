export { FlightCardScreen as default } from '../../../lazy';
