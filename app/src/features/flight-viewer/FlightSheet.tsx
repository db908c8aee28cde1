import { eventName } from '@skelby/copy/recorded-flight';
import type { FlightView } from '@skelby/core/recorded-flight/flight-view';
import { View } from 'react-native';
import { useUnits } from '../../shared/api/use-units';
import { clockOf } from '../../shared/copy/clock';
import { STANDING_LINE } from '../../shared/copy/copy';
import { useIsPrinting } from '../../shared/ui/use-printing';
import { Words } from '../../shared/ui/Words';
import { sureWords, whyOf, windFromDegOf } from './event-copy';
import { FileFigures } from './FileFigures';
import { FlightLanes } from './FlightLanes';
import { FlightPicture } from './FlightPicture';

const NOTHING = [] as const;
const still = () => undefined;

interface SheetProps {
  readonly name: string;
  readonly view: FlightView;
}

function Sheet({ name, view }: SheetProps) {
  const units = useUnits();
  const { whole, events, wind } = view;
  return (
    <View nativeID="skelby-print">
      <Words as="title">{name}</Words>
      <FileFigures view={view} />
      <FlightPicture
        isBeside
        {...{ path: whole.path, events, looked: null, t: whole.fromS, setUp: NOTHING, other: NOTHING }}
        {...{ pilot: null, windFromDeg: windFromDegOf(wind), onPlace: null }}
      />
      <FlightLanes stretch={whole} events={events} t={whole.fromS} onMove={still} onMark={still} />
      {events.map((event, i) => (
        <Words key={`${event.is} ${event.atS}`}>
          {`${i + 1}. ${clockOf(event.atS)} ${eventName(event.is)}. ${whyOf(event, units)}${sureWords(event.sure)}`}
        </Words>
      ))}
      <Words as="soft">{`Found by figures, not by eye. ${STANDING_LINE}`}</Words>
    </View>
  );
}

/** The whole flight on one page, only on paper. */
export const FlightSheet = (props: SheetProps) => (useIsPrinting() ? <Sheet {...props} /> : null);
