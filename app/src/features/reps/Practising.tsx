import { isFirstEdition } from '@skelby/core/clearance/clearing-rule';
import { practiceTally } from '@skelby/core/clearance/practice-tally';
import type { WeaknessPage } from '@skelby/core/pages/pages';
import { View } from 'react-native';
import { plural } from '../../shared/copy/copy';
import { todayHere } from '../../shared/copy/dates';
import { Button } from '../../shared/ui/Button';
import { Note } from '../../shared/ui/Note';
import { Words } from '../../shared/ui/Words';
import type { Counting } from './use-counter';

/** Tests that one tap announces, where as many are left today. */
const AT_ONCE = 4;

/** How practice goes, why it does not count, and one tap to what does. */
export function Practising({ page, counting }: { readonly page: WeaknessPage; readonly counting: Counting }) {
  const { settings, reps, clearance, next, announced, testsLeftToday, afterWarmUp } = counting;
  const { met, flown, inARow, isTimeToTest } = practiceTally(reps, settings, todayHere());
  const decides = clearance.charts.some(
    (chart) => chart.drillId === settings.drillId && chart.side === settings.side,
  );
  const announcedAtOnce = Math.min(AT_ONCE, testsLeftToday ?? AT_ONCE);
  const { open } = announced;
  const isElsewhere = open !== null && (open.drillId !== settings.drillId || open.side !== settings.side);
  const mayTest = decides && next.do === 'drill' && announcedAtOnce > 0 && !isElsewhere;
  const test = () => {
    counting.change({ purpose: 'test', level: 0 });
    if (open === null && !isFirstEdition(page.rule)) announced.announce(announcedAtOnce);
  };
  const tally = flown === 0 ? 'Practice: none today' : `Practice today: ${met} of ${flown} met`;
  return (
    <View style={{ gap: 6 }}>
      <Words as="strong" role="status">
        {inARow > 1 ? `${tally}, ${inARow} in a row` : tally}
      </Words>
      {decides ? (
        <Words as="soft">
          Practice clears nothing. Tests do: said beforehand, so that nobody picks the good ones afterwards.
        </Words>
      ) : (
        <Words as="soft">It prepares for what comes next and is never tested.</Words>
      )}
      {mayTest ? (
        isTimeToTest ? (
          <Note icon="flag" heading={`${inARow} in a row: time to test`}>
            <Button kind="solid" label={announceWords(page, announcedAtOnce)} onPress={test} />
          </Note>
        ) : (
          <Button kind="quiet" icon="flag" label={announceWords(page, announcedAtOnce)} onPress={test} />
        )
      ) : null}
      {afterWarmUp ? (
        <Button
          kind={inARow >= 2 ? 'solid' : 'quiet'}
          icon="arrow-right"
          label={`On to the next drill: ${afterWarmUp.name}`}
          onPress={() => counting.pickDrill(afterWarmUp.id)}
        />
      ) : null}
    </View>
  );
}

const announceWords = ({ rule }: WeaknessPage, number: number): string =>
  isFirstEdition(rule) ? 'Test the next rep' : `Tell the pilot: ${plural(number, 'test')} now`;
