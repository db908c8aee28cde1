import { USUAL_LESSONS, type UsualLessonId } from '@skelby/core/course/lessons';
import { LESSON_WORDS } from './en/course';

/** What a lesson is called, and what a pilot can do after it; of a school's own lesson its name is its id. */
export const lessonWords = (id: string): { readonly name: string; readonly after: string } =>
  USUAL_LESSONS.includes(id as UsualLessonId) ? LESSON_WORDS[id as UsualLessonId] : { name: id, after: '' };
