export { CourseCounter as default } from '../../../../../lazy';
