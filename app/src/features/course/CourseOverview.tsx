import { lessonWords } from '@skelby/copy/course';
import { USUAL_COURSE } from '@skelby/core/course/lessons';
import type { CoursePage, OnCourse } from '@skelby/core/pages/course';
import { useCourseOverview } from '../../offline/course-queries';
import { plural } from '../../shared/copy/copy';
import { sayDay } from '../../shared/copy/dates';
import { Loaded } from '../../shared/ui/Loaded';
import { LinkRow, Rows } from '../../shared/ui/Rows';
import { Part, Screen } from '../../shared/ui/Screen';
import { themed } from '../../shared/ui/theme';
import { View } from 'react-native';

const useStyles = themed((theme) => ({
  bars: { flexDirection: 'row', gap: 3 },
  bar: { width: 9, height: 30, borderWidth: 1, borderColor: theme.ink, justifyContent: 'flex-end' },
  fill: { backgroundColor: theme.ink, width: '100%' },
}));

/** A bar for each lesson, filled as far as it is shown. */
function LessonBars({ parts, shown }: Pick<OnCourse, 'parts' | 'shown'>) {
  const styles = useStyles();
  return (
    <View style={styles.bars} aria-hidden>
      {parts.map((of, nth) => (
        <View key={nth} style={styles.bar}>
          <View style={[styles.fill, { height: `${Math.round((100 * shown[nth]!) / of)}%` }]} />
        </View>
      ))}
    </View>
  );
}

function whereWords({ now, lessonId, parts, shown, lastDay }: OnCourse): string {
  const at =
    now === null || lessonId === null
      ? 'All shown'
      : `Lesson ${now + 1}, ${lessonWords(lessonId).name.toLowerCase()}: ${shown[now]!} of ${parts[now]!}`;
  return [at, lastDay ? `last ${sayDay(lastDay)}` : null].filter(Boolean).join(' · ');
}

function CourseRows({ pilots, empty }: CoursePage & { readonly empty: string }) {
  return (
    <Rows empty={empty} atFirst={40}>
      {pilots.map((pilot) => (
        <LinkRow
          key={pilot.id}
          href={`/pilots/${pilot.id}/course`}
          title={pilot.name}
          under={whereWords(pilot)}
          before={<LessonBars parts={pilot.parts} shown={pilot.shown} />}
        />
      ))}
    </Rows>
  );
}

/** Where every pilot stands on the course. */
export function CourseOverview() {
  const query = useCourseOverview();
  return (
    <Loaded query={query} title="Course" up="/pilots">
      {({ pilots }) => {
        const on = pilots.filter(({ begun, now }) => begun && now !== null);
        const done = pilots.filter(({ now }) => now === null);
        const others = pilots.filter(({ begun, now }) => !begun && now !== null);
        return (
          <Screen
            title="Course"
            under={`${plural(USUAL_COURSE.lessons.length, 'lesson')}, ${plural(on.length, 'pilot')} on the way`}
            up="/pilots"
          >
            <Part heading="On the way">
              <CourseRows pilots={on} empty="Nobody yet: begin with one of the pilots below." />
            </Part>
            {done.length > 0 ? (
              <Part heading="Shown">
                <CourseRows pilots={done} empty="" />
              </Part>
            ) : null}
            {others.length > 0 ? (
              <Part heading="Not begun">
                <CourseRows pilots={others} empty="" />
              </Part>
            ) : null}
          </Screen>
        );
      }}
    </Loaded>
  );
}
