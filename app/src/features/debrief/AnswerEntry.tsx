import { questionWords, valueWords } from '@skelby/copy/questions';
import { type Evidence, quarterOf, type SentNumber } from '@skelby/core/evidence/evidence';
import type { Answers, ChoiceQuestion } from '@skelby/core/evidence/question';
import { questionOf, type QuestionId } from '@skelby/core/evidence/questions';
import type { StickLayout } from '@skelby/core/vocabulary/flying';
import { useKeptState } from '../../shared/storage/use-kept-state';
import { View } from 'react-native';
import { Ring, SticksPicker } from '../../shared/drawing';
import { Button } from '../../shared/ui/Button';

interface AnswerEntryProps {
  readonly questionId: QuestionId;
  readonly evidence: Evidence;
  readonly known: Answers;
  readonly layout: StickLayout;
  readonly onAnswer: (answers: Evidence) => void;
  readonly number: (questionId: QuestionId) => React.JSX.Element;
}

/** More answers than this go side by side, so that all are in sight. */
const MANY = 4;

const CENTRE_DEG: Readonly<Record<string, number>> = {
  away: 0,
  right: 90,
  toward: 180,
  left: 270,
  head: 0,
  tail: 180,
};

/** The wind's quarter against the way it was moving. */
const windSideOf = (bearingDeg: number): string =>
  ({ away: 'head', toward: 'tail', left: 'cross', right: 'cross' })[quarterOf(bearingDeg)];

const isOnRing = (id: string) => id === 'nose' || id === 'nose_believed' || id === 'wind_side';

function Buttons({
  question,
  chosen,
  onPick,
}: {
  readonly question: ChoiceQuestion;
  readonly chosen: string | undefined;
  readonly onPick: (value: string) => void;
}) {
  const many = question.values.length > MANY;
  const { ask, values = {} } = questionWords(question.id as QuestionId);
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }} role="group" aria-label={ask}>
      {question.values.map((id) => (
        <Button
          key={id}
          large={!many}
          kind={id === chosen ? 'solid' : 'plain'}
          label={id === chosen ? `✓ ${values[id]}` : values[id]!}
          pressed={id === chosen}
          onPress={() => onPick(id)}
          style={{ justifyContent: 'flex-start', flexGrow: 1, flexBasis: many ? '45%' : '100%' }}
        />
      ))}
    </View>
  );
}

/**
 * A ring to point at, with the same answers as buttons under it. A bearing is taken with its own button, so
 * that a slip can be mended.
 */
function OnRing({
  question,
  evidence,
  onAnswer,
}: {
  readonly question: ChoiceQuestion;
  readonly evidence: Evidence;
  readonly onAnswer: (answers: Evidence) => void;
}) {
  const before: string | SentNumber | undefined = evidence[question.id];
  const start = typeof before === 'number' ? before : (CENTRE_DEG[String(before)] ?? null);
  const [bearing, setBearing, forget] = useKeptState<number | null>(`answer.${question.id}`, start);
  const touched = bearing !== start;
  const wind = question.id === 'wind_side';
  const quarter = bearing === null ? null : wind ? windSideOf(bearing) : quarterOf(bearing);
  const label = quarter === null ? '' : valueWords(question.id as QuestionId, quarter);
  const take = () => {
    if (bearing === null || quarter === null) return;
    forget();
    onAnswer({ [question.id]: question.id === 'nose' ? bearing : quarter });
  };
  return (
    <View style={{ gap: 14 }}>
      <View style={{ alignItems: 'center' }}>
        <Ring what={wind ? 'wind' : 'nose'} bearingDeg={bearing} onPoint={setBearing} />
      </View>
      {touched && bearing !== null ? (
        <Button kind="solid" large label={`Take it: ${label.toLowerCase()}, ${bearing}°`} onPress={take} />
      ) : null}
      <Buttons
        question={question}
        chosen={touched ? undefined : (quarter ?? (typeof before === 'string' ? before : undefined))}
        onPick={(value) => onAnswer({ [question.id]: value })}
      />
    </View>
  );
}

/** One answer, entered the way a hand would point at it. */
export function AnswerEntry({ questionId, evidence, known, layout, onAnswer, number }: AnswerEntryProps) {
  const question = questionOf(questionId);
  if (question.kind === 'number') return number(questionId);
  const chosen = known.choices[questionId];
  const pick = (value: string) => onAnswer({ [questionId]: value });
  if (isOnRing(questionId))
    return <OnRing key={questionId} question={question} evidence={evidence} onAnswer={onAnswer} />;
  return (
    <View style={{ gap: 14 }}>
      {questionId === 'sticks_before' ? (
        <View style={{ alignItems: 'center' }}>
          <SticksPicker layout={layout} value={chosen ?? null} onPoint={pick} />
        </View>
      ) : null}
      <Buttons question={question} chosen={chosen} onPick={pick} />
    </View>
  );
}
