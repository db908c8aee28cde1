import { lessonWords } from '@skelby/copy/course';
import { restricts } from '@skelby/core/clearance/open-states';
import type { CoursePart, LessonStanding } from '@skelby/core/course/course-standing';
import { limitsOfPilot } from '@skelby/core/course/of-pilot';
import type { PilotPage } from '@skelby/core/pages/pages';
import { useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';
import { usePilot } from '../../offline/overlay/pilot-queries';
import { WaitingNote } from '../../offline/ui/WaitingNote';
import { useMay } from '../../shared/api/use-may';
import { useUnits } from '../../shared/api/use-units';
import { ButtonRow, LinkButton } from '../../shared/ui/Button';
import { FileButton } from '../../shared/ui/FileButton';
import { Loaded } from '../../shared/ui/Loaded';
import { May } from '../../shared/ui/May';
import { Note } from '../../shared/ui/Note';
import { PrintButton } from '../../shared/ui/PrintButton';
import { LinkRow, Row, Rows } from '../../shared/ui/Rows';
import { Part, Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { untilCleared } from '../../shared/copy/restriction-copy';
import { limitWords, partName, partWords, standingLine } from '../../shared/copy/course-copy';
import { CourseSheet } from './CourseSheet';
import { partHref } from './part-href';
import { useStandingOf } from './use-standing-of';

/** The part that is flown next: what is not shown yet, in its order. */
const nextPart = (lessons: readonly LessonStanding[], now: number | null): CoursePart | null =>
  now === null ? null : lessons[now]!.parts.find(({ shownBy }) => shownBy === null)!;

/** An open weakness comes before the course: what it rules out is ruled out here. */
function RestrictedNow({ page: { pilot, weaknesses } }: { readonly page: PilotPage }) {
  const open = weaknesses.filter(restricts);
  if (open.length === 0) return null;
  return (
    <Note icon="slash" heading="Restrictions hold here too">
      {open.map((line) => (
        <Words key={line.id}>{untilCleared(line.causeId)}</Words>
      ))}
      <LinkButton kind="quiet" label={`What is open for ${pilot.name}`} href={`/pilots/${pilot.id}`} />
    </Note>
  );
}

const Mark = ({ isShown }: { readonly isShown: boolean }) => (
  <Words as="strong" style={{ width: 18 }} aria-hidden>
    {isShown ? '✓' : '·'}
  </Words>
);

interface LessonProps {
  readonly page: PilotPage;
  readonly nth: number;
  readonly standing: LessonStanding;
  /** Whether it is shown, worked on, or comes later. */
  readonly is: 'shown' | 'now' | 'later';
}

const MARKS = { shown: '✓', now: '→', later: '·' } as const;
const SAYS = { shown: 'shown', now: 'worked on now', later: 'later' } as const;

function LessonPart({ page, nth, standing: { lesson, parts }, is }: LessonProps) {
  const pilotId = page.pilot.id;
  const mayCount = useMay('train');
  const words = lessonWords(lesson.id);
  const units = useUnits();
  const shown = parts.filter(({ shownBy }) => shownBy !== null).length;
  return (
    <Part
      heading={`${nth + 1}. ${words.name}`}
      end={
        <Words as="strong" aria-label={`${SAYS[is]}, ${shown} of ${parts.length}`}>
          {`${MARKS[is]} ${shown} of ${parts.length}`}
        </Words>
      }
    >
      {is === 'shown' ? null : <Words as="soft">{`Afterwards the pilot ${words.after}.`}</Words>}
      {is === 'now' ? <Words as="strong">{limitWords(limitsOfPilot(lesson, page), units)}</Words> : null}
      <Rows atFirst={is === 'now' ? Infinity : 0}>
        {parts.map((part) => {
          const line = {
            title: partName(part),
            under: partWords(part),
            before: <Mark isShown={part.shownBy !== null} />,
          };
          // Whoever reads here counts nothing.
          return mayCount ? (
            <LinkRow key={line.title} href={partHref(pilotId, part)} {...line} />
          ) : (
            <Row key={line.title} {...line} />
          );
        })}
      </Rows>
    </Part>
  );
}

function CourseOf({ page }: { readonly page: PilotPage }) {
  const standing = useStandingOf(page);
  const { lessons, now } = standing;
  const { id, name } = page.pilot;
  const next = nextPart(lessons, now);
  return (
    <Screen
      title="Course"
      under={`${name} · ${standingLine(standing)}`}
      up={`/pilots/${id}`}
      foot={
        next ? (
          <May right="train">
            <LinkButton
              kind="main"
              icon="play"
              label={`Go on: ${partName(next)}`}
              href={partHref(id, next)}
            />
          </May>
        ) : (
          <ButtonRow>
            <PrintButton label="Print the certificate" />
            <May right="take-out">
              <FileButton
                icon="award"
                label="Signed, as a file (PDF)"
                address={`/pilots/${page.pilot.id}/course.pdf`}
                name="course.pdf"
              />
            </May>
          </ButtonRow>
        )
      }
    >
      <WaitingNote brief />
      {next === null ? (
        <Note icon="award" heading="The course is shown">
          It says what was shown and on which day, not that it lasts: own limits and local rules go on.
        </Note>
      ) : null}
      {next === null ? <CourseSheet page={page} standing={standing} /> : null}
      <RestrictedNow page={page} />
      {standing.begun || now === null ? null : (
        <Words>
          For whoever has not crashed: each drill is shown before the next lesson begins. A pilot who flies
          already passes a drill in one test, or by what you have seen.
        </Words>
      )}
      <View style={{ gap: 26 }}>
        {lessons.map((each, nth) => (
          <LessonPart
            key={each.lesson.id}
            page={page}
            nth={nth}
            standing={each}
            is={each.shown ? 'shown' : nth === now ? 'now' : 'later'}
          />
        ))}
      </View>
    </Screen>
  );
}

export function CourseScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const query = usePilot(id);
  return (
    <Loaded query={query} title="Course" up={`/pilots/${id}`}>
      {(page) => <CourseOf page={page} />}
    </Loaded>
  );
}
