import { causeWords } from '@skelby/copy/causes';
import { lessonWords } from '@skelby/copy/course';
import { recordSheetWords } from '@skelby/copy/record-sheets';
import type { RecordedWeakness, TrainingRecord } from '@skelby/core/exchange/training-record';
import type { Sheet } from './sheet-pdf';

const said = recordSheetWords();
const DAY = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'long',
  year: 'numeric',
  timeZone: 'UTC',
});
const dayWords = (day: string): string => DAY.format(new Date(`${day.slice(0, 10)}T00:00:00Z`));
const sentence = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;

type SheetPart = Sheet['parts'][number];

/** Figures behind a signature. */
export interface ClearedBy {
  readonly tests: number;
  readonly testsMet: number;
  readonly checks: number;
  readonly checksMet: number;
  readonly days: number;
  readonly missPercent: number;
  readonly riskPercent: number;
}

function signatureWords({ signed }: RecordedWeakness): readonly string[] {
  if (!signed) return [];
  return [(signed.early ? said.signedEarly : said.signed)(dayWords(signed.at), signed.by)];
}

const weaknessWords = (weakness: RecordedWeakness): string =>
  sentence(
    [said.states[weakness.state], said.opened(dayWords(weakness.openedOn)), ...signatureWords(weakness)].join(
      ', ',
    ),
  );

function flownPart({ flown, occurrences }: TrainingRecord): SheetPart {
  const { flights, packs, minutes, firstDay, lastDay } = flown;
  return {
    heading: said.flown,
    lines: [
      ...(firstDay && lastDay
        ? [
            `${said.flownLine(flights, packs, minutes)}.`,
            `${said.between(dayWords(firstDay), dayWords(lastDay))}.`,
          ]
        : [said.nothingFlown]),
      said.happened(occurrences.crashes, occurrences.nearMisses),
    ],
  };
}

const coursePart = ({ course }: TrainingRecord): SheetPart =>
  course.some(({ shown }) => shown)
    ? {
        heading: said.course,
        rows: course.map(({ lessonId, shown, shownOn }, nth) => ({
          what: `${nth + 1}. ${lessonWords(lessonId).name}`,
          says: sentence(
            !shown ? said.notShown : shownOn ? said.shownOn(dayWords(shownOn)) : said.shownBefore,
          ),
        })),
      }
    : { heading: said.course, lines: [said.notBegun] };

const saysNot: SheetPart = { heading: said.saysNot, lines: [said.saysNotLine] };

const headOf = ({ school, pilot, madeAt }: TrainingRecord, title: string) => ({
  title: `${title}: ${pilot.name}`,
  under: `${school.name}, ${said.madeOn(dayWords(madeAt))}`,
});

const footOf = ({ school }: TrainingRecord, fingerprint: string): readonly string[] => [
  said.standing,
  said.attached,
  said.signature(school.name, fingerprint),
];

/** Everything that a pilot takes along, on paper. */
export const recordSheet = (record: TrainingRecord, fingerprint: string): Sheet => ({
  ...headOf(record, said.record),
  parts: [
    flownPart(record),
    record.weaknesses.length === 0
      ? { heading: said.weaknesses, lines: [said.noWeakness] }
      : {
          heading: said.weaknesses,
          rows: record.weaknesses.map((weakness) => ({
            what: causeWords(weakness.causeId).name,
            says: weaknessWords(weakness),
          })),
        },
    coursePart(record),
    saysNot,
  ],
  foot: footOf(record, fingerprint),
});

/** One weakness that was cleared by the rule. */
export const clearedSheet = (
  record: TrainingRecord,
  weakness: RecordedWeakness,
  by: ClearedBy,
  fingerprint: string,
): Sheet => ({
  ...headOf(record, said.cleared),
  parts: [
    { heading: causeWords(weakness.causeId).name, lines: [weaknessWords(weakness)] },
    {
      heading: said.how,
      lines: [said.tests(by), said.checks(by), said.rule(by.missPercent, by.riskPercent)],
    },
    { heading: said.says, lines: [said.clearedSays] },
    saysNot,
  ],
  foot: footOf(record, fingerprint),
});

/** A course of which every lesson is shown. */
export const courseSheet = (record: TrainingRecord, fingerprint: string): Sheet => ({
  ...headOf(record, said.courseShown),
  parts: [coursePart(record), { heading: said.says, lines: [said.courseSays] }, saysNot],
  foot: footOf(record, fingerprint),
});
