export { CourseOverview as default } from '../../lazy';
