import { lessonWords } from '@skelby/copy/course';
import { factsThatStand, type CourseStanding } from '@skelby/core/course/course-standing';
import type { PilotPage } from '@skelby/core/pages/pages';
import { View } from 'react-native';
import { useWho } from '../../shared/api/use-who';
import { MODE_WORDS, plural, STANDING_LINE } from '../../shared/copy/copy';
import { todayHere } from '../../shared/copy/dates';
import { dayOnPaper } from '../../shared/copy/day-on-paper';
import { themed } from '../../shared/ui/theme';
import { useIsPrinting } from '../../shared/ui/use-printing';
import { Words } from '../../shared/ui/Words';
import { partName, partWords } from '../../shared/copy/course-copy';

const useStyles = themed((theme) => ({
  sheet: { gap: 10 },
  hand: { flexDirection: 'row', gap: 24, paddingTop: 28 },
  line: { flex: 1, borderTopWidth: 2, borderTopColor: theme.ink, paddingTop: 4 },
}));

interface SheetProps {
  readonly page: PilotPage;
  readonly standing: CourseStanding;
}

/** How it was shown: each way with how many drills it was. */
function howShown({ lessons }: CourseStanding): string {
  const by = lessons.flatMap(({ parts }) => parts.map(({ shownBy }) => shownBy));
  const count = (of: (typeof by)[number]) => by.filter((each) => each === of).length;
  return [
    `${count('reps')} over attempts that were counted`,
    `${count('one-test')} in one test`,
    `${count('seen-before')} seen by the trainer before`,
  ].join(', ');
}

function Sheet({ page: { pilot, course = [] }, standing }: SheetProps) {
  const styles = useStyles();
  const me = useWho();
  const facts = factsThatStand(course).filter(({ flownOn }) => flownOn === 'craft');
  const days = new Set(facts.map(({ day }) => day)).size;
  const [first, last] = [facts[0]?.day, facts.at(-1)?.day];
  return (
    <View nativeID="skelby-print" style={styles.sheet}>
      <Words as="title">{`Course shown: ${pilot.name}`}</Words>
      <Words>
        {[
          me?.schoolName,
          MODE_WORDS[pilot.mode],
          first && last ? `${dayOnPaper(first)} to ${dayOnPaper(last)}` : null,
        ]
          .filter(Boolean)
          .join(' · ')}
      </Words>
      {standing.lessons.map(({ lesson, parts }, nth) => (
        <View key={lesson.id}>
          <Words as="strong">{`${nth + 1}. ${lessonWords(lesson.id).name}: ${lessonWords(lesson.id).after}`}</Words>
          <Words as="soft">
            {parts.map((part) => `${partName(part)}: ${partWords(part, dayOnPaper)}`).join('; ')}
          </Words>
        </View>
      ))}
      <Words as="strong">What it says</Words>
      <Words>
        {`Every drill of the course was shown to a trainer${days > 0 ? `, on ${plural(days, 'day')}` : ''}: ${howShown(standing)}.`}
      </Words>
      <Words>
        Counted: somebody who misses every second attempt gets through a drill within twenty at most one time
        in ten.
      </Words>
      <Words as="strong">What it does not say</Words>
      <Words>
        That it lasts, holds on another craft or in more wind, or stands for any licence or permission.
      </Words>
      <Words as="soft">{`${STANDING_LINE} Printed ${dayOnPaper(todayHere())}.`}</Words>
      <View style={styles.hand}>
        <View style={styles.line}>
          <Words as="soft">Trainer</Words>
        </View>
        <View style={styles.line}>
          <Words as="soft">Day</Words>
        </View>
      </View>
    </View>
  );
}

/** What stands on paper once the whole course is shown; only there. */
export const CourseSheet = (props: SheetProps) => (useIsPrinting() ? <Sheet {...props} /> : null);
