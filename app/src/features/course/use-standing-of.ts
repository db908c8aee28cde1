import { courseOfPilot } from '@skelby/core/course/of-pilot';
import type { PilotPage } from '@skelby/core/pages/pages';
import { useMemo } from 'react';

/** Where a pilot stands on the course, with what waits on this phone. */
export const useStandingOf = (page: PilotPage) => useMemo(() => courseOfPilot(page), [page]);
