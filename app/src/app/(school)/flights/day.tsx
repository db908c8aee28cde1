export { FlightDayScreen as default } from '../../../lazy';
