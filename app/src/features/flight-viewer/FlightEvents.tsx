import { offerUndo } from '../../shared/ui/undo';
import type { SetUpChoice } from './use-set-up';
import { clockOf } from '../../shared/copy/clock';
import { eventName } from '@skelby/copy/recorded-flight';
import type { FlightEvent } from '@skelby/core/recorded-flight/events/flight-event';
import type { FlightView } from '@skelby/core/recorded-flight/flight-view';
import { View } from 'react-native';
import { useUnits } from '../../shared/api/use-units';
import { Button } from '../../shared/ui/Button';
import { PressRow, Rows } from '../../shared/ui/Rows';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { mayBeLogged, sureWords, whyOf } from './event-copy';

interface EventsProps {
  readonly view: FlightView;
  readonly setUp: SetUpChoice;
  readonly looked: number | null;
  readonly onLook: (event: number | null) => void;
  /** Null: whoever looks may not log. */
  readonly onLog: ((event: FlightEvent, nth: number) => void) | null;
}

/** A line that nobody was to fly over, marked by its two ends. */
function NotOver({ setUp: { line, wanted, want, takeOut, places, putBack } }: Pick<EventsProps, 'setUp'>) {
  const takesOut = () => {
    offerUndo('The line taken out', () => putBack(places));
    takeOut('line-from', 'line-to');
  };
  return (
    <>
      {line ? (
        <Button kind="quiet" icon="x" label="Take the line out" onPress={takesOut} />
      ) : (
        <Button
          kind="quiet"
          icon="slash"
          label="Mark a line that nobody flies over"
          onPress={() => want('line-from')}
        />
      )}
      {wanted === 'line-from' || wanted === 'line-to' ? (
        <Words role="status">
          {`Where does it ${wanted === 'line-from' ? 'begin' : 'end'}? Tap it on the plan, or go to a moment and press “Here”.`}
        </Words>
      ) : null}
    </>
  );
}

/** What happened, in order; one tap makes an entry of it. */
export function FlightEvents({ view: { events }, setUp, looked, onLook, onLog }: EventsProps) {
  const units = useUnits();
  return (
    <Part heading="What it shows">
      <Rows empty="Nothing stands out.">
        {events.map((event, i) => (
          <View
            key={`${event.is} ${event.atS}`}
            style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}
          >
            <View style={{ flex: 1 }}>
              <PressRow
                title={`${i + 1}. ${clockOf(event.atS)} ${eventName(event.is)}`}
                under={`${whyOf(event, units)}${sureWords(event.sure)}`.trim()}
                onPress={() => onLook(looked === i ? null : i)}
              />
            </View>
            {onLog && mayBeLogged(event.is) ? (
              <Button
                icon="plus"
                label="Log"
                says={`Log: ${eventName(event.is)} at ${clockOf(event.atS)}`}
                onPress={() => onLog(event, i)}
              />
            ) : null}
          </View>
        ))}
      </Rows>
      <Words as="soft">Found by figures, not by eye: look before you log.</Words>
      <NotOver setUp={setUp} />
    </Part>
  );
}
