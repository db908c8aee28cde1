import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { useKeptState } from '../../shared/storage/use-kept-state';
import { Button } from '../../shared/ui/Button';
import { themed } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';
import { alarm, tick } from './sound';

const useStyles = themed((theme) => ({
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 10 },
  clock: { fontSize: 26, lineHeight: 32, minWidth: 78 },
  out: { borderWidth: 4, borderColor: theme.ink, padding: 12 },
}));

const minutesAndSeconds = (ms: number): string => {
  const s = Math.max(0, Math.round(ms / 1000));
  return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
};

/** The time now, renewed so often while it runs. */
function useNow(running: boolean, everyMs: number): number {
  const [now, setNow] = useState(Date.now());
  useEffect(() => {
    if (!running) return undefined;
    setNow(Date.now());
    const timer = setInterval(() => setNow(Date.now()), everyMs);
    return () => clearInterval(timer);
  }, [running, everyMs]);
  return now;
}

interface PackTimerProps {
  readonly startedAt: number | null;
  readonly minutes: number;
  /** Charge at which the feet have to be down, per cent. */
  readonly reservePercent: number;
  readonly onStart: () => void;
}

/** Runs a pack down to its landing reserve, and says aloud when it is there. */
export function PackTimer({ startedAt, minutes, reservePercent, onStart }: PackTimerProps) {
  const styles = useStyles();
  const now = useNow(startedAt !== null, 500);
  const leftMs = startedAt === null ? minutes * 60_000 : startedAt + minutes * 60_000 - now;
  const out = startedAt !== null && leftMs <= 0;
  const told = useRef(false);
  useEffect(() => {
    if (out && !told.current) {
      told.current = true;
      alarm();
    }
    if (!out) told.current = false;
  }, [out]);
  if (startedAt === null)
    return (
      <Button
        icon="battery-charging"
        label={`Start the pack (${minutes} min)`}
        onPress={() => {
          tick();
          onStart();
        }}
      />
    );
  if (out)
    return (
      <View style={styles.out}>
        <Words
          as="heading"
          role="alert"
        >{`Landing reserve: land now, feet down at ${reservePercent} %.`}</Words>
      </View>
    );
  return (
    <Words as="figure" style={styles.clock} role="timer">
      {minutesAndSeconds(leftMs)}
    </Words>
  );
}

/** Times one attempt, s. */
export function RepTimer({ onTime }: { readonly onTime: (seconds: number) => void }) {
  const styles = useStyles();
  const [startedAt, setStartedAt] = useKeptState<number | null>('rep-timer', null);
  const now = useNow(startedAt !== null, 100);
  const stop = () => {
    tick();
    onTime(Math.round((Date.now() - startedAt!) / 100) / 10);
    setStartedAt(null);
  };
  return (
    <View style={styles.row}>
      <Button
        icon={startedAt === null ? 'clock' : 'square'}
        label={startedAt === null ? 'Time it' : 'Stop'}
        onPress={() => {
          if (startedAt === null) {
            tick();
            setStartedAt(Date.now());
          } else stop();
        }}
      />
      {startedAt === null ? null : (
        <Words
          as="figure"
          style={styles.clock}
          role="timer"
        >{`${(Math.max(0, now - startedAt) / 1000).toFixed(1)} s`}</Words>
      )}
    </View>
  );
}

const BEATS = [40, 60, 80] as const;

/** Beats for hands that hurry. */
export function Metronome() {
  // A browser stays silent after a reload until it is touched; then the beat goes on.
  const [beat, setBeat] = useKeptState<(typeof BEATS)[number] | null>('metronome', null);
  useEffect(() => {
    if (beat === null) return undefined;
    const timer = setInterval(tick, 60_000 / beat);
    return () => clearInterval(timer);
  }, [beat]);
  const next = beat === null ? BEATS[0] : (BEATS[BEATS.indexOf(beat) + 1] ?? null);
  return (
    <Button
      icon="activity"
      label={beat === null ? 'Metronome' : `Metronome ${beat}`}
      pressed={beat !== null}
      onPress={() => {
        if (next !== null) tick();
        setBeat(next);
      }}
    />
  );
}
