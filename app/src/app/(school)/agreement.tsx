export { AgreementScreen as default } from '../../lazy';
