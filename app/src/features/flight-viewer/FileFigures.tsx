import type { FlightView } from '@skelby/core/recorded-flight/flight-view';
import { useUnits } from '../../shared/api/use-units';
import { clockOf } from '../../shared/copy/clock';
import { plural } from '../../shared/copy/copy';
import { sayTime } from '../../shared/copy/dates';
import { Words } from '../../shared/ui/Words';
import { windWords } from './event-copy';

const MS = 1000;
const tenth = (value: number): number => Math.round(value * 10) / 10;

/** A flight in figures, each with how sure it is. */
export function FileFigures({ view }: { readonly view: FlightView }) {
  const { sayM, say } = useUnits();
  const parts = [
    view.startedAt === null ? null : sayTime(new Date(view.startedAt * MS).toISOString()),
    `${clockOf(view.lastsS)} long`,
    `as far as ${sayM(view.farthestM)}`,
    view.highestM === null ? 'no heights' : `as high as ${sayM(view.highestM)}`,
    `as fast as ${say(view.fastestMps, 'm/s')}`,
    view.packs > 1 ? plural(view.packs, 'battery', 'batteries') : null,
  ];
  return (
    <>
      <Words>{`${parts.filter(Boolean).join(' · ')}.`}</Words>
      {view.wind ? <Words>{windWords(view.wind, say)}</Words> : null}
      <Words as="soft">
        {`Places ± ${sayM(tenth(view.placeSdM))}, speeds ± ${say(tenth(view.speedSdMps), 'm/s')}. ${plural(Number(view.hz.toPrecision(2)), 'line')} a second.`}
      </Words>
    </>
  );
}
