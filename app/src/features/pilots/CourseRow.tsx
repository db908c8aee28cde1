import type { PilotPage } from '@skelby/core/pages/pages';
import { LinkRow, Rows } from '../../shared/ui/Rows';
import { courseOfPilot } from '@skelby/core/course/of-pilot';
import { standingLine } from '../../shared/copy/course-copy';

/** Where the pilot stands on the course, and the way to it. */
export function CourseRow({ page }: { readonly page: PilotPage }) {
  const standing = courseOfPilot(page);
  return (
    <Rows>
      <LinkRow
        href={`/pilots/${page.pilot.id}/course`}
        title="Course"
        under={standing.begun ? standingLine(standing) : 'Eight lessons from the ground to wind and home'}
      />
    </Rows>
  );
}
