import { clockOf } from '../../shared/copy/clock';
import { questionWords, valueWords } from '@skelby/copy/questions';
import type { Evidence } from '@skelby/core/evidence/evidence';
import type { Answers, Estimate, NumberQuestion } from '@skelby/core/evidence/question';
import { QUESTIONS, questionOf, type QuestionId } from '@skelby/core/evidence/questions';
import type { StickLayout } from '@skelby/core/vocabulary/flying';
import type { Ranking } from '@skelby/core/ranking/rank';
import { useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '../../shared/api/use-units';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { PressRow, Rows } from '../../shared/ui/Rows';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { plural } from '../../shared/copy/copy';
import { AnswerEntry } from './AnswerEntry';
import { NumberEntry } from './NumberEntry';
import { offerUndo } from '../../shared/ui/undo';
import type { FlownAnswers } from '@skelby/core/schemas/flown';

interface AskProps {
  readonly evidence: Evidence;
  readonly known: Answers;
  readonly ranking: Ranking;
  /** What is asked now; null when nothing more is worth asking. */
  readonly asked: QuestionId | null;
  readonly layout: StickLayout;
  /** A question asked out of turn. */
  readonly wanted: string | null;
  readonly onWant: (questionId: QuestionId | null) => void;
  readonly onEvidence: (evidence: Evidence) => void;
  readonly onSkip: (questionId: QuestionId) => void;
}

/** Under this an answer would hardly move the ranking. */
const WORTH_ASKING = 0.02;

/** What is asked next: what was wanted out of turn, else what would tell most, or what is always asked. */
export function nextOf(
  ranking: Ranking,
  skipped: readonly string[],
  wanted: QuestionId | null,
): QuestionId | null {
  return (
    wanted ??
    ranking.nextQuestions.find(
      ({ id, gain, isCore }) => (isCore || gain >= WORTH_ASKING) && !skipped.includes(id),
    )?.id ??
    null
  );
}

/** Everything told so far, in words; a tap asks it again. */
export function ToldList({
  evidence,
  known,
  onWant,
  flown,
}: Pick<AskProps, 'evidence' | 'known' | 'onWant'> & {
  /** What a flight shows of it, where one was read. */
  readonly flown: FlownAnswers | null;
}) {
  const { say } = useUnits();
  const told = QUESTIONS.filter(({ id }) => evidence[id] !== undefined);
  const words = (id: string): string => {
    const question = questionOf(id);
    if (question.kind === 'number') {
      const { value, within } = known.numbers[id]!;
      return `${say(value, question.unit)} ± ${say(within, question.unit)}`;
    }
    const sent = evidence[id];
    return `${valueWords(question.id, known.choices[id]!)}${typeof sent === 'number' ? ` (${sent}°)` : ''}`;
  };
  const besideFlight = (id: QuestionId): string => {
    const shows = flown?.evidence[id];
    if (flown === null || shows === undefined) return '';
    const clock = clockOf(flown.atS);
    if (JSON.stringify(shows) === JSON.stringify(evidence[id])) return ` · from the flight, ${clock}`;
    const other =
      typeof shows === 'string'
        ? valueWords(id, shows)
        : String(Math.round((typeof shows === 'number' ? shows : shows.value) * 10) / 10);
    return ` · the flight shows ${other.toLowerCase()}, ${clock}`;
  };
  return (
    <Part heading={`Told so far: ${plural(told.length, 'answer')}`}>
      <Rows empty="Nothing yet.">
        {told.map(({ id }) => (
          <PressRow
            key={id}
            title={questionWords(id).short}
            under={`${words(id)}${besideFlight(id)}`}
            onPress={() => onWant(id)}
          />
        ))}
      </Rows>
      {flown ? <Words as="soft">{`From ${flown.name} where nobody told it; tap to change.`}</Words> : null}
    </Part>
  );
}

/** Anything else that makes sense to ask, for what the pilot tells unasked. */
function OpenQuestions({ ranking, onWant }: Pick<AskProps, 'ranking' | 'onWant'>) {
  const [isOpen, setOpen] = useState(false);
  return (
    <View>
      <Button
        kind="quiet"
        label={isOpen ? 'Hide the other questions' : 'Something else was told'}
        onPress={() => setOpen(!isOpen)}
      />
      {isOpen ? (
        <Rows>
          {ranking.nextQuestions.map(({ id }) => (
            <PressRow
              key={id}
              title={questionWords(id).short}
              under={questionWords(id).ask}
              onPress={() => {
                setOpen(false);
                onWant(id);
              }}
            />
          ))}
        </Rows>
      ) : null}
    </View>
  );
}

/** Nothing more is worth asking; numbers still let the sums speak. */
function EnoughAsked({ ranking, onWant }: Pick<AskProps, 'ranking' | 'onWant'>) {
  return (
    <Part heading="Enough asked">
      <Words>No question left would change much. Give a number for the figures, or decide.</Words>
      <Rows>
        {ranking.nextQuestions
          .filter(({ id }) => questionOf(id).kind === 'number')
          .map(({ id }) => (
            <PressRow
              key={id}
              title={questionWords(id).short}
              under={questionWords(id).ask}
              onPress={() => onWant(id)}
            />
          ))}
      </Rows>
      <OpenQuestions ranking={ranking} onWant={onWant} />
    </Part>
  );
}

/** One question at a time, the one that would change the ranking most. */
export function Ask({
  evidence,
  known,
  ranking,
  asked: id,
  layout,
  wanted,
  onWant,
  onEvidence,
  onSkip,
}: AskProps) {
  if (id === null) return <EnoughAsked ranking={ranking} onWant={onWant} />;
  const question = questionOf(id);
  const answer = (answers: Evidence) => {
    onEvidence({ ...evidence, ...answers });
    onWant(null);
  };
  const clear = () => {
    offerUndo(`${questionWords(id).short}: answer cleared`, () => onEvidence(evidence));
    onEvidence(Object.fromEntries(Object.entries(evidence).filter(([each]) => each !== id)));
    onWant(null);
  };
  const distance = {
    distanceM: known.numbers['distance_m']?.value ?? null,
    heightM: known.numbers['height_m']?.value ?? null,
  };
  const number = (numberId: string) => (
    <NumberEntry
      key={numberId}
      question={questionOf(numberId) as NumberQuestion}
      value={known.numbers[numberId]}
      other={distance}
      onAnswer={(answers: Readonly<Record<string, Estimate>>) => answer(answers)}
    />
  );
  return (
    <View style={{ gap: 16, maxWidth: 620 }}>
      <Words as="large" role="heading" aria-level={2}>
        {questionWords(question.id).ask}
      </Words>
      <AnswerEntry
        key={id}
        questionId={id}
        evidence={evidence}
        known={known}
        layout={layout}
        onAnswer={answer}
        number={number}
      />
      <ButtonRow>
        {evidence[id] === undefined ? (
          <Button
            kind="quiet"
            icon="corner-down-right"
            label="Skip"
            onPress={() => {
              onSkip(id);
              onWant(null);
            }}
          />
        ) : (
          <Button kind="quiet" icon="x" label="Clear this answer" onPress={clear} />
        )}
        {wanted !== null ? (
          <Button kind="quiet" label="Back to what is asked next" onPress={() => onWant(null)} />
        ) : null}
      </ButtonRow>
      <OpenQuestions ranking={ranking} onWant={onWant} />
    </View>
  );
}
