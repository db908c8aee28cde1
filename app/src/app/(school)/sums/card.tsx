export { FlightCardScreen as default } from '../../../screens';
