import { MEASURES } from '@skelby/core/assessment/measures/measures';
import type { Score, ScoredValue } from '@skelby/core/assessment/score';
import { View } from 'react-native';
import { useSayMeasure } from '../../shared/copy/measure-words';
import { Note } from '../../shared/ui/Note';
import { Row, Rows } from '../../shared/ui/Rows';
import { Words } from '../../shared/ui/Words';
import { CHANGES, OTHER_CHANGES } from './measure-copy';

/** What to do otherwise, in one sentence; null when it was met. */
function changeFor({ wrong }: Pick<Score, 'wrong'>): string | null {
  if (!wrong) return null;
  return wrong.of === 'crash' || wrong.of === 'at-pilot' || wrong.of === 'not-finished'
    ? OTHER_CHANGES[wrong.of]
    : CHANGES[wrong.of];
}

/** Where one measure has two limits it is one line. */
const oncePerMeasure = (values: readonly ScoredValue[]): readonly ScoredValue[] =>
  values.filter((each, i) => {
    const twin = values.findIndex((other) => other.of === each.of && !other.ok);
    return twin < 0 ? values.findIndex((other) => other.of === each.of) === i : twin === i;
  });

/** A rep that was measured: met or missed, against what, and what to change. */
export function ScorePanel({ score }: { readonly score: Score }) {
  const say = useSayMeasure();
  const change = changeFor(score);
  const stopped = score.over === 'stopped';
  return (
    <View style={{ gap: 12 }}>
      <Note
        icon={score.met ? 'check-circle' : 'x-circle'}
        heading={score.met ? 'Met' : stopped ? 'Not finished' : 'Missed'}
        live
      >
        {change ?? 'To the standard, all of it.'}
      </Note>
      <Rows>
        {oncePerMeasure(score.values).map((value) => (
          <Row
            key={value.of}
            title={`${value.ok ? '✓' : '✗'} ${MEASURES[value.of].label}: ${say(value, value.value)}`}
            under={
              MEASURES[value.of].unit === 'yes'
                ? undefined
                : `${value.isLeast ? 'At least' : 'At most'} ${say(value, value.limit)}`
            }
          />
        ))}
      </Rows>
      {score.smoothness === null ? null : (
        <Words as="soft">{`Smoothness of the lines and turns: ${score.smoothness.toFixed(1)} (spectral arc length; nearer to 0 is smoother).`}</Words>
      )}
    </View>
  );
}
