export { FlightFileScreen as default } from '../../../lazy';
