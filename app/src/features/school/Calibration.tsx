import type { SaidAgainstDecided } from '@skelby/core/ranking/calibration';
import { useState } from 'react';
import { View } from 'react-native';
import { useCalibration } from '../../offline/overlay/debrief-queries';
import { plural } from '../../shared/copy/copy';
import { Button } from '../../shared/ui/Button';
import { Part } from '../../shared/ui/Screen';
import { themed } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';

const useStyles = themed((theme) => ({
  line: { borderTopWidth: 2, borderTopColor: theme.ink, paddingVertical: 10, gap: 6 },
  track: { height: 14, borderWidth: 2, borderColor: theme.ink, backgroundColor: theme.ground },
  span: { position: 'absolute', top: 0, height: 10, backgroundColor: theme.shade },
  mark: { position: 'absolute', top: -4, width: 4, height: 18, backgroundColor: theme.ink },
}));

const percent = (share: number): `${number}%` => `${Math.round(share * 100)}%`;
const said = (share: number): string => `${Math.round(share * 100)}\u00a0%`;

/** One degree of sureness: where what was said lies against what was decided. */
function Degree({ degree }: { readonly degree: SaidAgainstDecided }) {
  const styles = useStyles();
  const { debriefs, decidedSo, interval } = degree;
  return (
    <View style={styles.line}>
      <Words>{`Said ${said(degree.said)}: decided so in ${decidedSo} of ${plural(debriefs, 'debrief')}, ${said(decidedSo / debriefs)} (${said(interval.low)} to ${said(interval.high)})`}</Words>
      <View style={styles.track} aria-hidden>
        <View
          style={[styles.span, { left: percent(interval.low), width: percent(interval.high - interval.low) }]}
        />
        <View style={[styles.mark, { left: percent(Math.min(0.98, degree.said)) }]} />
      </View>
    </View>
  );
}

/** How far the school may believe what the ranking says: against what its own trainers decided. */
export function Calibration() {
  const [isWanted, setWanted] = useState(false);
  const { data, error } = useCalibration(isWanted);
  return (
    <Part heading="Said against decided">
      {isWanted ? null : (
        <Button kind="quiet" label="How often was the ranking right here?" onPress={() => setWanted(true)} />
      )}
      {error ? <Words as="strong" role="alert">{`! ${error.message}`}</Words> : null}
      {isWanted && !data && !error ? <Words role="status">Ranking the closed debriefs anew …</Words> : null}
      {data?.length === 0 ? <Words>No closed debrief with three answers yet.</Words> : null}
      {data?.map((degree) => (
        <Degree key={degree.said} degree={degree} />
      ))}
      {data?.length ? (
        <Words as="soft">
          By the starting weights. The shaded part holds what was decided, with 95 % certainty; the mark is
          what was said. Whoever decided had seen the ranking: this flatters it.
        </Words>
      ) : null}
    </Part>
  );
}
