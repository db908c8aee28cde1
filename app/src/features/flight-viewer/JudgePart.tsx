import { clockOf } from '../../shared/copy/clock';
import { MEASURES } from '@skelby/core/assessment/measures/measures';
import { drillOf } from '@skelby/core/drills/drills';
import { FIELD_DRILLS } from '@skelby/core/recorded-flight/reps/field-drills';
import type { FieldDoubt, FieldRep, FieldValue } from '@skelby/core/recorded-flight/reps/judge-reps';
import type { Stretch } from '@skelby/core/recorded-flight/stretch';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useRoster } from '../../offline/overlay/use-roster';
import { useDrills } from '../../shared/api/use-drills';
import { plural, SIDE_WORDS } from '../../shared/copy/copy';
import { dayHere, todayHere } from '../../shared/copy/dates';
import { useSayMeasure } from '../../shared/copy/measure-words';
import { Choice, LongChoice } from '../../shared/forms/Choice';
import { passMeasuredRep } from '../../shared/storage/measured-rep';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { Note } from '../../shared/ui/Note';
import { Row, Rows } from '../../shared/ui/Rows';
import { Part } from '../../shared/ui/Screen';
import { offerUndo } from '../../shared/ui/undo';
import { Words } from '../../shared/ui/Words';

import type { FieldJudging, Looking } from './use-answers';
import type { SetUpChoice, WantedPlace } from './use-set-up';

const VERDICTS = { met: 'Met', missed: 'Missed', 'cannot-tell': 'Cannot tell' } as const;
const SAYS = { ok: '✓', not: '✗', 'cannot-tell': '?' } as const;

const labels = (rep: FieldRep): string =>
  rep.unmeasured.map((of) => MEASURES[of].label.toLowerCase()).join(', ');

const DOUBTS: Readonly<Record<FieldDoubt, (rep: FieldRep) => string>> = {
  'within-doubt': () => 'Within its ± it was either: judge it by eye.',
  'not-recorded': (rep) => `Not recorded: ${labels(rep)}. Judge that by eye.`,
  'cut-short': () => 'The part ends before the drill does: mark a longer one.',
  'marks-fitted': () =>
    'The marks were put where they fit best: mark where the pilot stood, and what lay straight ahead.',
};

const saysOf = (rep: FieldRep): string =>
  `${VERDICTS[rep.verdict]}.${rep.doubt ? ` ${DOUBTS[rep.doubt](rep)}` : ''}`;

function ValueRow({ value }: { readonly value: FieldValue }) {
  const say = useSayMeasure();
  const { label, unit } = MEASURES[value.of];
  const isYesOrNo = unit === 'yes';
  return (
    <Row
      title={`${SAYS[value.says]} ${label}: ${say(value, value.value)}${isYesOrNo ? '' : ` ± ${say(value, value.plusMinus)}`}`}
      under={isYesOrNo ? undefined : `${value.isLeast ? 'At least' : 'At most'} ${say(value, value.limit)}`}
    />
  );
}

interface RepProps {
  readonly rep: FieldRep;
  readonly nth: number;
  readonly onSee: () => void;
  /** Null: opened from no weakness, or flown on another day. */
  readonly onCount: ((says: string) => void) | null;
}

function RepPart({ rep, nth, onSee, onCount }: RepProps) {
  return (
    <View style={{ gap: 8 }}>
      <Note
        icon={rep.verdict === 'met' ? 'check-circle' : rep.verdict === 'missed' ? 'x-circle' : 'help-circle'}
        heading={`${nth + 1}. ${clockOf(rep.fromS)} to ${clockOf(rep.toS)}: ${VERDICTS[rep.verdict].toLowerCase()}`}
      >
        {rep.doubt ? DOUBTS[rep.doubt](rep) : null}
      </Note>
      <Rows>
        {rep.values.map((value) => (
          <ValueRow key={`${value.of} ${value.isLeast}`} value={value} />
        ))}
      </Rows>
      <ButtonRow>
        <Button icon="zoom-in" label="See it" onPress={onSee} />
        {onCount ? (
          <Button icon="arrow-right" label="Take it to the count" onPress={() => onCount(saysOf(rep))} />
        ) : null}
      </ButtonRow>
    </View>
  );
}

/** What is asked of the plan. */
const ASKED: Readonly<Partial<Record<WantedPlace, string>>> = {
  pilot: 'Where did the pilot stand?',
  ahead: 'What lay straight ahead of the pilot?',
  post: 'Where did one post of the first gate stand?',
  'other-post': 'Where did its other post stand?',
};

const PLACES = {
  pilot: { icon: 'user', label: 'Where the pilot stood' },
  ahead: { icon: 'arrow-up', label: 'Straight ahead' },
  post: { icon: 'flag', label: 'One post' },
  'other-post': { icon: 'flag', label: 'The other post' },
} as const;

/** How it was set up, in words. */
function setUpSaid({ isGated, posts, placement }: SetUpChoice): string {
  if (!isGated)
    return placement
      ? 'Set up where the dashed line is.'
      : 'Nobody has marked where it was set up: what only fits is not called met.';
  return posts
    ? 'The gate stands between the posts, its middle as high as the drill says.'
    : 'Nobody has marked the posts of its first gate: how far off its middle it was flown is not told.';
}

/** Where it was set up: two places, each tapped on the plan or taken from where the craft is. */
function Marks({ setUp }: { readonly setUp: SetUpChoice }) {
  const { places, wanted, want, takeOut: takesOut, putBack, isGated } = setUp;
  const [one, other] = isGated ? (['post', 'other-post'] as const) : (['pilot', 'ahead'] as const);
  const takeOut = () => {
    offerUndo('Both marks taken out', () => putBack(places));
    takesOut(one, other);
  };
  return (
    <>
      <Words as="soft">{setUpSaid(setUp)}</Words>
      <ButtonRow>
        {[one, other].map((place) => (
          <Button
            key={place}
            icon={PLACES[place].icon}
            label={`${places[place] ? '✓ ' : ''}${PLACES[place].label}`}
            onPress={() => want(place)}
          />
        ))}
        {places[one] || places[other] ? (
          <Button kind="quiet" icon="x" label="Take both marks out" onPress={takeOut} />
        ) : null}
      </ButtonRow>
      {wanted === one || wanted === other ? (
        <Words role="status">{`${ASKED[wanted]} Tap it on the plan, or go to a moment and press “Here”.`}</Words>
      ) : null}
    </>
  );
}

/** Its span is part of the standard. */
function Flown({ setUp: { craftId, setCraftId } }: { readonly setUp: SetUpChoice }) {
  const { data: roster } = useRoster();
  if (!roster || roster.craft.length === 0) return null;
  return (
    <LongChoice
      label="Craft"
      value={craftId ?? ''}
      onChange={(id) => setCraftId(id === '' ? null : id)}
      options={[
        { value: '', label: 'A usual one' },
        ...roster.craft.map(({ id, name }) => ({ value: id, label: name })),
      ]}
    />
  );
}

interface JudgeProps {
  readonly setUp: SetUpChoice;
  readonly judging: FieldJudging;
  readonly looking: Looking;
  readonly part: Stretch;
  /** When it was flown, s since 1970; null: nobody knows. */
  readonly startedAt: number | null;
}

/** To where reps are counted; null: nowhere. */
function useCounting(setUp: SetUpChoice, startedAt: number | null) {
  const router = useRouter();
  const { weakness, drill } = useLocalSearchParams<{ weakness?: string; drill?: string }>();
  const { drillId, side } = setUp;
  // Only what the weakness is drilled with is counted for it.
  if (!weakness || !drillId || drillId !== drill) return null;
  return (rep: FieldRep) => (says: string) => {
    const { recorded: measure, distanceM } = rep;
    const rounded = distanceM === null ? null : Math.max(1, Math.round(distanceM));
    const at = startedAt === null ? null : new Date((startedAt + rep.toS) * 1000);
    const day = at && dayHere(at);
    passMeasuredRep(weakness, {
      ...{ drillId, side, says, measure, distanceM: rounded },
      flownThen: at && day && day !== todayHere() ? { day, flownAt: at.toISOString() } : null,
    });
    router.replace(`/weakness/${weakness}/reps?drill=${drillId}`);
  };
}

function Found({ setUp, judging, looking, startedAt }: Omit<JudgeProps, 'part'>) {
  const count = useCounting(setUp, startedAt);
  const judged = judging.repsOf(setUp);
  if (!judged) return null;
  const { reps } = judged;
  return (
    <>
      <Words as="strong" role="status">
        {reps.length === 0
          ? 'No rep of it begins in this part: mark where it was set up, or a longer part.'
          : `${plural(reps.length, 'rep')}: ${reps.filter(({ verdict }) => verdict === 'met').length} met, ${reps.filter(({ verdict }) => verdict === 'missed').length} missed.`}
      </Words>
      {reps.map((rep, nth) => (
        <RepPart
          key={rep.fromS}
          rep={rep}
          nth={nth}
          onSee={() => looking.look(rep.fromS, rep.toS)}
          onCount={count && count(rep)}
        />
      ))}
    </>
  );
}

/** A part of a flight judged as a drill, by the standard that the simulator judges by. */
export function JudgePart({ setUp, judging, looking, part, startedAt }: JudgeProps) {
  const { drillOf: wordedOf } = useDrills();
  const { drillId, side, placement, posts, craft } = setUp;
  const [isPicking, setPicking] = useState(drillId === null);
  const { fromS, toS } = part;
  const sides = drillId ? drillOf(drillId).sides : [];
  return (
    <Part heading="Judge it as a drill">
      {isPicking || drillId === null ? (
        <LongChoice
          label="Drill"
          value={drillId}
          onChange={(id) => {
            setUp.pick(id);
            setPicking(false);
          }}
          options={FIELD_DRILLS.map((value) => ({ value, label: wordedOf(value).name }))}
        />
      ) : (
        <ButtonRow>
          <Words as="strong">{wordedOf(drillId).name}</Words>
          <Button kind="quiet" label="Another drill" onPress={() => setPicking(true)} />
        </ButtonRow>
      )}
      {drillId === null ? null : (
        <>
          {sides.length > 0 ? (
            <Choice
              label="Side"
              value={side}
              onChange={setUp.setSide}
              options={sides.map((value) => ({ value, label: SIDE_WORDS[value] }))}
            />
          ) : null}
          <Flown setUp={setUp} />
          <Marks setUp={setUp} />
          <Button
            kind="solid"
            icon="check-square"
            label={judging.isJudging ? 'Judging …' : `Judge ${clockOf(fromS)} to ${clockOf(toS)}`}
            disabled={judging.isJudging}
            onPress={() => judging.judge({ fromS, toS, drillId, side, placement, posts, craft })}
          />
          <Found setUp={setUp} judging={judging} looking={looking} startedAt={startedAt} />
        </>
      )}
    </Part>
  );
}
