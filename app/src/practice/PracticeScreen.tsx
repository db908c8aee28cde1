import { drillOf, isDrillId } from '@skelby/core/drills/drills';
import type { Drill, Side } from '@skelby/core/drills/drill';
import { FLYING_MODES, type FlyingMode, type ModeNow } from '@skelby/core/flight/control';
import type { Ended } from '@skelby/core/flight/flight';
import { practiceOf, type PracticeSetUp } from '@skelby/core/flight/practice';
import { type CraftRecord, SPEED_SETTINGS, type SpeedSetting, USUAL_CRAFT } from '@skelby/core/flying/craft-facts';
import { axesOf, type StickLayout } from '@skelby/core/flying/vocabulary';
import { useLocalSearchParams } from 'expo-router';
import { useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '../api/use-units';
import { useRoster } from '../laid-over/use-roster';
import { keep, kept } from '../storage';
import { Button, ButtonRow } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Note } from '../ui/Note';
import { Part, Screen } from '../ui/Screen';
import { Stepper } from '../ui/Stepper';
import { themed } from '../ui/theme';
import { Words } from '../ui/Words';
import { MODE_WORDS, SETTING_WORDS, SIDE_WORDS, STANDING_LINE } from '../words/words';
import { Gimbal } from './Gimbal';
import { useHands } from './hands';
import type { Shown } from './practice.worker';
import { type FlightStart, useFlight } from './use-flight';
import type { PracticeView } from './view';

const READ_EVERY_MS = 200;
const MOST_WIND_MPS = 12;
const NAME = 'practice.chosen';

interface Chosen {
  readonly craftId: string | null;
  readonly setting: SpeedSetting;
  readonly windMps: number;
  readonly layout: StickLayout;
}
const BEFORE: Chosen = { craftId: null, setting: 'normal', windMps: 0, layout: 2 };

const useStyles = themed((theme) => ({
  field: { height: 330, borderWidth: 2, borderColor: theme.ink, backgroundColor: theme.shade },
  over: { position: 'absolute', left: 8, right: 8, bottom: 8, padding: 10, backgroundColor: theme.ground, borderWidth: 2, borderColor: theme.ink, gap: 8 },
  hands: { flexDirection: 'row', justifyContent: 'space-between' },
  read: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 14 },
}));

const endedWords = (ended: NonNullable<Ended>): string =>
  (ended.how === 'ground' ? 'Into the ground' : `Into ${ended.solid?.solid === 'wire' ? 'a bar or wire' : ended.solid?.solid === 'pole' ? 'a post' : 'a wall or roof'}`);

/** Distance, height, speed and charge, a few times a second: reading them is not flying. */
function Readout({ shown }: { readonly shown: Shown | null }) {
  const styles = useStyles();
  const { say } = useUnits();
  if (!shown) return <Words as="soft" role="status">Setting it up …</Words>;
  const [x, y, z] = shown.position;
  return (
    <View style={styles.read}>
      <Words as="figure">{`${say(Math.round(Math.hypot(x, y)), 'm')} away`}</Words>
      <Words as="figure">{`${say(Math.round(z * 10) / 10, 'm')} up`}</Words>
      <Words as="figure">{say(Math.round(Math.hypot(...shown.velocity) * 10) / 10, 'm/s')}</Words>
      <Words as="figure">{`${Math.round(shown.charge * 100)} %`}</Words>
    </View>
  );
}

interface FlyProps {
  readonly drill: Drill;
  readonly setUp: PracticeSetUp;
  readonly craft: CraftRecord;
  readonly chosen: Chosen;
  readonly mode: ModeNow;
}

function Fly({ drill, setUp, craft, chosen, mode }: FlyProps) {
  const styles = useStyles();
  const { sentence, say } = useUnits();
  const canvas = useRef<HTMLCanvasElement>(null);
  const box = useRef<HTMLDivElement>(null);
  const view = useRef<PracticeView | null>(null);
  const readAt = useRef(0);
  const [shown, setShown] = useState<Shown | null>(null);
  const [throughCamera, setThroughCamera] = useState(false);
  const [reads, setReads] = useState(true);
  const hands = useHands(chosen.layout);
  const from = useMemo<FlightStart>(() => ({ craft, start: setUp.start, scene: { solids: setUp.solids, wind: { speedMps: chosen.windMps, fromDeg: setUp.windFromDeg, gusts: 1, jets: [] } } }), [craft, setUp, chosen.windMps]);

  const onFrame = (now: Shown) => {
    const began = performance.now();
    const drawn = view.current?.draw(now);
    performance.measure('skelby.practice', { start: began, detail: { ...drawn, workMs: now.workMs } });
    if (now.ended || began - readAt.current > READ_EVERY_MS) { readAt.current = began; setShown(now); }
  };
  const { again, failed } = useFlight(from, mode, hands.read, onFrame);

  useEffect(() => {
    let over = false;
    let watch: ResizeObserver | null = null;
    void import('./view').then(({ PracticeView: View3d }) => {
      if (over || !canvas.current || !box.current) return;
      const made = new View3d(canvas.current, { spanM: craft.spanM, rotors: craft.rotors, marks: setUp.marks, solids: setUp.solids, wind: { speedMps: chosen.windMps, fromDeg: setUp.windFromDeg } });
      view.current = made;
      watch = new ResizeObserver(([entry]) => made.resize(entry!.contentRect.width, entry!.contentRect.height));
      watch.observe(box.current);
    });
    return () => { over = true; watch?.disconnect(); view.current?.dispose(); view.current = null; };
  }, [craft, setUp, chosen.windMps]);
  useEffect(() => { if (view.current) view.current.throughCamera = throughCamera; }, [throughCamera]);

  const { left, right } = axesOf(chosen.layout);
  const stays = (vertical: string) => vertical === 'throttle' && (mode.mode === 'rate' || mode.mode === 'self-level');
  const ended = shown?.ended ?? null;
  return (
    <>
      <Words as="heading">{sentence(drill.byEye)}</Words>
      <View style={styles.field}>
        <div ref={box} style={{ position: 'absolute', inset: 0 }}><canvas ref={canvas} role="img" aria-label={throughCamera ? 'What the camera of the craft sees' : 'The field from where the pilot stands'} style={{ width: '100%', height: '100%', display: 'block' }} /></div>
        {ended ? (
          <View style={styles.over}>
            <Words as="heading" role="alert">{`${endedWords(ended)} at ${say(Math.round(ended.speedMps), 'm/s')}`}</Words>
            <Button kind="solid" icon="rotate-ccw" label="Again" onPress={again} />
          </View>
        ) : null}
      </View>
      {failed ? <Words as="strong" role="alert">{`! ${failed}`}</Words> : reads ? <Readout shown={shown} /> : null}
      <View style={styles.hands}>
        <Gimbal hand="left" hands={hands} says={`Left stick: ${left.vertical}, ${left.horizontal}`} stays={stays(left.vertical)} />
        <Gimbal hand="right" hands={hands} says={`Right stick: ${right.vertical}, ${right.horizontal}`} stays={stays(right.vertical)} />
      </View>
      <ButtonRow>
        <Button icon="rotate-ccw" label="Again" onPress={again} />
        <Button icon={throughCamera ? 'user' : 'camera'} label={throughCamera ? 'From the ground' : 'Camera'} onPress={() => setThroughCamera(!throughCamera)} />
        <Button kind="quiet" label={reads ? 'Hide figures' : 'Show figures'} onPress={() => setReads(!reads)} />
      </ButtonRow>
    </>
  );
}

function Practice({ drill }: { readonly drill: Drill }) {
  const { pilot } = useLocalSearchParams<{ pilot?: string }>();
  const units = useUnits();
  const roster = useRoster().data;
  const whose = roster?.pilots.find((each) => each.id === pilot);
  const [chosen, setChosen] = useState<Chosen>(() => ({ ...BEFORE, ...kept<Partial<Chosen>>(NAME), ...(whose ? { layout: whose.stickLayout } : {}) }));
  const [side, setSide] = useState<Side | null>(drill.sides[0] ?? null);
  const craft: CraftRecord = roster?.craft.find((each) => each.id === chosen.craftId) ?? USUAL_CRAFT;
  const setUp = useMemo(() => practiceOf(drill.id, side, whose?.mode ?? craft.mode), [drill.id, side, whose?.mode, craft.mode]);
  const [picked, setPicked] = useState<FlyingMode | null>(null);
  const [hold, setHold] = useState(true);
  const mode: ModeNow = { mode: picked ?? setUp?.mode ?? 'position-hold', setting: chosen.setting, pilotHeadingDeg: null, hold };
  const change = (part: Partial<Chosen>) => setChosen((last) => { const next = { ...last, ...part }; keep(NAME, next); return next; });
  const up = `/drills/${drill.id}` as const;
  if (!setUp) return <Screen title="Practice" under={drill.name} up={up}><Note icon="slash" heading="Not here">This drill is not flown with the sticks, or not on a simulator.</Note></Screen>;
  return (
    <Screen
      title="Practice" under={drill.name} up={up}
      aside={
        <>
          <Part heading="How it is flown">
            <Choice label="Mode" value={mode.mode} onChange={setPicked} options={FLYING_MODES.map((value) => ({ value, label: MODE_WORDS[value] }))} />
            {mode.mode === 'position-hold' ? <Button icon={hold ? 'shuffle' : 'anchor'} label={hold ? 'Drop hold' : 'Give hold back'} onPress={() => setHold(!hold)} /> : null}
            <Choice label="Speed setting" value={chosen.setting} onChange={(setting) => change({ setting })} options={SPEED_SETTINGS.map((value) => ({ value, label: SETTING_WORDS[value] }))} />
            <Stepper label="Wind" unit={units.unit('m/s')} value={units.from(chosen.windMps, 'm/s')} step={1} least={0} most={units.from(MOST_WIND_MPS, 'm/s')} onChange={(value) => { if (value !== null && value >= 0) change({ windMps: Math.min(MOST_WIND_MPS, units.to(value, 'm/s')) }); }} />
            {drill.sides.length > 0 ? <Choice label="Side" value={side} onChange={setSide} options={drill.sides.map((value) => ({ value, label: SIDE_WORDS[value] }))} /> : null}
            <Choice label="Transmitter" value={chosen.layout} onChange={(layout) => change({ layout })} options={([1, 2, 3, 4] as const).map((value) => ({ value, label: `Mode ${value}` }))} />
            {roster && roster.craft.length > 0 ? <Choice label="Craft" value={chosen.craftId ?? ''} onChange={(craftId) => change({ craftId: craftId || null })} options={[{ value: '', label: 'Usual' }, ...roster.craft.map(({ id, name }) => ({ value: id, label: name }))]} /> : null}
          </Part>
          <Words as="soft">Keys: W A S D for the left stick, arrows for the right. A game controller that is plugged in flies too.</Words>
          <Words as="soft">{`What is flown here is not recorded yet. ${STANDING_LINE}`}</Words>
        </>
      }
    >
      <Fly key={`${drill.id} ${String(side)}`} drill={drill} setUp={setUp} craft={craft} chosen={chosen} mode={mode} />
    </Screen>
  );
}

export function PracticeScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  if (!isDrillId(id)) return <Screen title="Practice" up="/drills"><Note icon="help-circle" heading="Not here">There is no such drill.</Note></Screen>;
  return <Practice key={id} drill={drillOf(id)} />;
}
