import { percent } from '@skelby/core/vocabulary/percent';
import { headingOf } from '@skelby/core/geometry/rotation';
import type { PracticeSetUp } from '@skelby/core/simulator/practice';
import { useSyncExternalStore } from 'react';
import { View } from 'react-native';
import { useUnits } from '../../shared/api/use-units';
import { SETTING_WORDS } from '../../shared/copy/copy';
import { themed } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';
import { Inset } from '../../shared/field/Inset';
import type { Live } from './live';

const useStyles = themed(() => ({
  read: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 14 },
}));

const RETURN_WORDS = {
  climbing: 'Coming home: climbing first',
  'on-the-way': 'Coming home',
  landing: 'Landing by itself',
} as const;

/** Distance, height, speed and charge, drawn anew a few times a second, so that frames stay free for the picture. */
export function Readout({ live }: { readonly live: Live }) {
  const styles = useStyles();
  const { say } = useUnits();
  const { shown } = useSyncExternalStore(live.subscribe, live.now);
  if (!shown)
    return (
      <Words as="soft" role="status">
        Setting it up …
      </Words>
    );
  const {
    position: [x, y, z],
    velocity,
    charge,
    holdLost,
    nearestM,
    returning,
  } = shown;
  return (
    <View style={styles.read}>
      {shown.clockS === null ? null : <Words as="figure">{`${shown.clockS.toFixed(1)} s`}</Words>}
      <Words as="figure">{`${say(Math.round(Math.hypot(x - shown.pilot.x, y - shown.pilot.y)), 'm')} away`}</Words>
      <Words as="figure">{`${say(Math.round(z * 10) / 10, 'm')} up`}</Words>
      <Words as="figure">{say(Math.round(Math.hypot(...velocity) * 10) / 10, 'm/s')}</Words>
      <Words as="figure">{percent(charge)}</Words>
      {shown.setting ? <Words as="figure">{SETTING_WORDS[shown.setting]}</Words> : null}
      {nearestM !== null ? (
        <Words as="figure">{`! ${say(Math.round(nearestM * 10) / 10, 'm')} to something`}</Words>
      ) : null}
      {holdLost ? <Words as="figure">No hold</Words> : null}
      {shown.linkLost ? <Words as="figure">No link: it flies itself</Words> : null}
      {shown.landsItself ? (
        <Words as="figure">! Battery nearly flat: it lands itself, steer it clear</Words>
      ) : null}
      {returning ? <Words as="figure">{RETURN_WORDS[returning]}</Words> : null}
    </View>
  );
}

/** The field from above. Where the nose has to be found, it does not give it away. */
export function FieldMap({ live, marks }: { readonly live: Live; readonly marks: PracticeSetUp['marks'] }) {
  const { shown, path } = useSyncExternalStore(live.subscribe, live.now);
  if (!shown) return null;
  const {
    position: [x, y],
    attitude: [qw, qx, qy, qz],
    part,
    pilot,
  } = shown;
  const hidden = part.blind || part.hands === 'find-nose';
  return (
    <Inset
      size={104}
      marks={marks}
      pilot={pilot}
      craft={hidden ? null : { x, y, headingDeg: headingOf({ qw, qx, qy, qz }) }}
      path={path}
    />
  );
}
