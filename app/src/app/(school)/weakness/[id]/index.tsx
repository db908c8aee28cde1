export { WeaknessScreen as default } from '../../../../screens';
