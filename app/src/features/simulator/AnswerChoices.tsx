import { cueWords } from '@skelby/copy/cues';
import { type AskId, DISTANCES_M, FORETOLD, HEIGHTS_M, type Thing } from '@skelby/core/assessment/asked';
import type { AnswerNumber } from '@skelby/core/flight-log/flight-log';
import { SPEED_SETTINGS } from '@skelby/core/vocabulary/craft-facts';
import { useEffect } from 'react';
import { useUnits } from '../../shared/api/use-units';
import { sentenceCase, SETTING_WORDS } from '../../shared/copy/copy';
import { Button, ButtonRow } from '../../shared/ui/Button';

const FORETOLD_WORDS: Readonly<Record<(typeof FORETOLD)[number], string>> = {
  'stops-by-itself': 'It stops by itself',
  'comes-on': 'It comes on',
};

/** The answers to a question, in the order that core has them. */
function useAnswers(asks: AskId, things: readonly Thing[]): readonly string[] {
  const { say } = useUnits();
  switch (asks) {
    case 'which-setting':
      return SPEED_SETTINGS.map((setting) => SETTING_WORDS[setting]);
    case 'how-high':
      return HEIGHTS_M.map((each) => say(each, 'm'));
    case 'how-far':
      return DISTANCES_M.map((each) => say(each, 'm'));
    case 'nearest-thing':
      return things.map((thing) => sentenceCase(cueWords(thing.is)));
    case 'will-it-stop':
      return FORETOLD.map((each) => FORETOLD_WORDS[each]);
  }
}

interface AnswerChoicesProps {
  readonly asks: AskId;
  readonly things: readonly Thing[];
  readonly onAnswer: (answer: AnswerNumber) => void;
}

/** What can be answered to what is asked in flight: a button each, and the number keys for whoever flies by keys. */
export function AnswerChoices({ asks, things, onAnswer }: AnswerChoicesProps) {
  const answers = useAnswers(asks, things);
  const count = answers.length;
  useEffect(() => {
    const pressed = ({ key }: KeyboardEvent) => {
      const number = Number(key);
      if (Number.isInteger(number) && number >= 1 && number <= count) onAnswer(number as AnswerNumber);
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, [count, onAnswer]);
  return (
    <ButtonRow>
      {answers.map((answer, i) => (
        <Button key={answer} kind="solid" label={answer} onPress={() => onAnswer((i + 1) as AnswerNumber)} />
      ))}
    </ButtonRow>
  );
}
