import type { CoursePage } from '@skelby/core/pages/course';
import { useQuery } from '@tanstack/react-query';
import { get } from '../shared/api/client';

/** Where every pilot stands on the course, as the school knows it. */
export const useCourseOverview = () =>
  useQuery({ queryKey: ['course'], queryFn: () => get<CoursePage>('/course') });
