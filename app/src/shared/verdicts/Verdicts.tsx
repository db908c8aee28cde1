import { MISS_REASONS, type MissReason } from '@skelby/core/clearance/facts';
import type { Drill } from '@skelby/core/drills/drill';
import { leastSeconds, tooSoon } from '@skelby/core/drills/too-soon';
import type { Level } from '@skelby/core/vocabulary/training';
import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { Button } from '../ui/Button';
import { unlessBounced } from '../ui/no-bounce';
import { FONT, themed } from '../ui/theme';
import { Words } from '../ui/Words';
import { MISS_WORDS } from '../copy/copy';
import { useHandsFree } from './use-hands-free';
import { readAloud } from './voice';

const useStyles = themed((theme) => ({
  verdicts: { flexDirection: 'row', gap: 12 },
  verdict: {
    flex: 1,
    height: 124,
    alignItems: 'center',
    justifyContent: 'center',
    borderWidth: 4,
    borderColor: theme.ink,
  },
  met: { backgroundColor: theme.ink },
  pressed: { opacity: 0.6 },
  sign: { fontFamily: FONT.bold, fontSize: 40, lineHeight: 46, color: theme.ink },
  word: { fontFamily: FONT.bold, fontSize: 22, lineHeight: 28, color: theme.ink },
  told: { borderColor: theme.rule, borderWidth: 2 },
  asked: { gap: 8 },
  back: { flex: 1, height: 124 },
  onInk: { color: theme.ground },
  reasons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  reason: { flexBasis: '47%', flexGrow: 1, paddingHorizontal: 8 },
}));

function Verdict({ met, onPress }: { readonly met: boolean; readonly onPress: () => void }) {
  const styles = useStyles();
  const ink = met ? styles.onInk : null;
  return (
    <Pressable
      role="button"
      onPress={unlessBounced(onPress)}
      style={(state) => [styles.verdict, met ? styles.met : null, state.pressed ? styles.pressed : null]}
    >
      <Words style={[styles.sign, ink]} aria-hidden>
        {met ? '✓' : '✕'}
      </Words>
      <Words style={[styles.word, ink]}>{met ? 'Met' : 'Missed'}</Words>
    </Pressable>
  );
}

/** Where the halves were a moment ago: nothing under a finger that just let go of one acts. */
function Told({ met, children }: { readonly met: boolean; readonly children: string }) {
  const styles = useStyles();
  return (
    <View style={[styles.verdict, styles.told]}>
      <Words as="strong">{`${met ? '✓' : '✕'} ${children}`}</Words>
    </View>
  );
}

/** Two halves of the screen's foot, told apart by place, fill and sign; no colour needed. */
function Verdicts({ onMet, onMissed }: { readonly onMet: () => void; readonly onMissed: () => void }) {
  const styles = useStyles();
  return (
    <View style={styles.verdicts}>
      <Verdict met={false} onPress={onMissed} />
      <Verdict met onPress={onMet} />
    </View>
  );
}

/** The second tap of a miss. */
function WhyMissed({
  onReason,
  onCancel,
}: {
  readonly onReason: (reason: MissReason | null) => void;
  readonly onCancel: () => void;
}) {
  const styles = useStyles();
  return (
    <View style={styles.asked}>
      <Words as="strong">Why missed?</Words>
      <View style={styles.reasons}>
        {MISS_REASONS.map((reason) => (
          <Button
            key={reason}
            style={styles.reason}
            label={MISS_WORDS[reason]}
            onPress={unlessBounced(() => onReason(reason))}
          />
        ))}
        <Button
          style={styles.reason}
          kind="quiet"
          label="Not said"
          onPress={unlessBounced(() => onReason(null))}
        />
      </View>
      <View style={styles.verdicts}>
        <Told met={false}>Missed</Told>
        <Button style={styles.back} label="It was no miss" onPress={unlessBounced(onCancel)} />
      </View>
    </View>
  );
}

interface SoSoonProps {
  readonly seconds: number;
  readonly leastS: number;
  readonly onCount: () => void;
  readonly onCancel: () => void;
}

/** An attempt that was met sooner than anybody can have flown it. */
function SoSoon({ seconds, leastS, onCount, onCancel }: SoSoonProps) {
  const styles = useStyles();
  return (
    <View style={styles.asked}>
      <Words as="strong" role="alert">
        {`${seconds < 1 ? 'Less than 1' : Math.floor(seconds)} s after the last rep: one takes ${Math.ceil(leastS)} s or more.`}
      </Words>
      <Button label="Flown before: count it" onPress={unlessBounced(onCount)} />
      <View style={styles.verdicts}>
        <Button style={styles.back} label="A slip: leave it out" onPress={unlessBounced(onCancel)} />
        <Told met>Met</Told>
      </View>
    </View>
  );
}

/** A verdict that waits for an answer: the instant of the attempt. */
interface Unanswered {
  /** A miss, for its reason. */
  readonly missedAt: string | null;
  /** A rep met very soon after the last one; absent in what an older version kept. */
  readonly soonAt?: string | null;
}

interface VerdictFootProps {
  readonly drill: Pick<Drill, 'leastS'>;
  readonly level: Level;
  /** When the last attempt ended. */
  readonly lastAt: string | null;
  readonly waits: Unanswered;
  readonly change: (part: Partial<Unanswered>) => void;
  readonly record: (met: boolean, missReason: MissReason | null, flownAt: string) => void;
  /** What else stands in the foot while nothing waits for an answer. */
  readonly around: ReactNode;
  /** In the place of the verdicts: what has to be done before one counts. */
  readonly first: ReactNode;
  /** The drill and how it is flown, and how it stands: read aloud where reps are counted hands-free. */
  readonly task: string;
  readonly standing: string;
}

const now = () => new Date().toISOString();

const WHY_ALOUD = 'Missed. Missed again leaves the reason out; met takes the miss back.';
const SOON_ALOUD = 'Very soon after the last one. Met counts it; missed leaves it out.';
const FIRST_ALOUD = 'Look at the screen first.';

/** What becomes of a verdict, by whichever way it comes, and what is read aloud of where it stands. */
function useVerdicts({
  drill,
  level,
  lastAt,
  waits,
  change,
  record,
  first,
  task,
  standing,
}: VerdictFootProps) {
  const { missedAt, soonAt = null } = waits;
  const why = (reason: MissReason | null) => {
    if (missedAt) record(false, reason, missedAt);
  };
  const acts = missedAt
    ? { says: WHY_ALOUD, met: () => change({ missedAt: null }), missed: () => why(null) }
    : soonAt
      ? {
          says: SOON_ALOUD,
          met: () => record(true, null, soonAt),
          missed: () => change({ soonAt: null }),
        }
      : {
          says: standing,
          met: () => {
            const at = now();
            if (tooSoon(drill, level, lastAt, at) === null) record(true, null, at);
            else change({ soonAt: at });
          },
          missed: () => change({ missedAt: now() }),
        };
  const waitsForScreen = first !== null && !missedAt && !soonAt;
  const nothing = () => readAloud(FIRST_ALOUD);
  useHandsFree(
    waitsForScreen ? { task, says: FIRST_ALOUD, met: nothing, missed: nothing } : { ...acts, task },
  );
  return { ...acts, why };
}

/** Met or missed under the thumb, and what a verdict still has to be asked. */
export function VerdictFoot(props: VerdictFootProps) {
  const { drill, level, lastAt, waits, around, first } = props;
  const { missedAt, soonAt = null } = waits;
  const { met, missed, why } = useVerdicts(props);
  if (missedAt) return <WhyMissed onReason={why} onCancel={met} />;
  if (soonAt)
    return (
      <SoSoon
        seconds={tooSoon(drill, level, lastAt, soonAt) ?? 0}
        leastS={leastSeconds(drill, level)}
        onCount={met}
        onCancel={missed}
      />
    );
  return (
    <>
      {around}
      {first ?? <Verdicts onMet={met} onMissed={missed} />}
    </>
  );
}
