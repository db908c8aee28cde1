export { WeaknessScreen as default } from '../../../../weakness/WeaknessScreen';
