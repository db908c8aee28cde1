export { WeaknessScreen as default } from '../../../../lazy';
