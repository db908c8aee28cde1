export { CourseScreen as default } from '../../../../lazy';
