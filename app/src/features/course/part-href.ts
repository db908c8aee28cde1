import type { CoursePart } from '@skelby/core/course/course-standing';
import type { Href } from 'expo-router';

/** Where a drill of the course, or one of its sides, is counted. */
export const partHref = (pilotId: string, { drillId, side }: Pick<CoursePart, 'drillId' | 'side'>): Href =>
  `/pilots/${pilotId}/course/${drillId}${side ? `?side=${side}` : ''}` as Href;
