import { shapedStick } from '@skelby/core/simulator/expo';
import type { Axis } from '@skelby/core/vocabulary/flying';
import { useCallback, useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { Choice } from '../../shared/forms/Choice';
import { Note } from '../../shared/ui/Note';
import { Part } from '../../shared/ui/Screen';
import { themed } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';
import {
  ASKED,
  type AxisAt,
  chosenPad,
  type ControllerSetUp,
  keepSetUp,
  keptSetUpOnce,
  movedAxis,
  padsNow,
  type PadNow,
  pickPad,
  shapeOf,
  stickAt,
  type SwitchUse,
} from './controller';
import { AXIS_NAMES, Latency, Shaping, Tuning } from './ControllerTuning';

const LOOK_MS = 80;

const useStyles = themed((theme) => ({
  bar: { height: 14, borderWidth: 2, borderColor: theme.ink, flex: 1 },
  knob: { position: 'absolute', top: 0, bottom: 0, width: 10, marginLeft: -5, backgroundColor: theme.ink },
  line: { flexDirection: 'row', alignItems: 'center', gap: 10 },
}));

const NONE: readonly PadNow[] = [];

/** What is plugged in, looked at a few times a second. */
function usePads(): readonly PadNow[] {
  const [pads, setPads] = useState<readonly PadNow[]>(padsNow);
  useEffect(() => {
    const look = setInterval(() => {
      const now = padsNow();
      setPads(now.length > 0 ? now.map((pad) => ({ ...pad, axes: [...pad.axes] })) : NONE);
    }, LOOK_MS);
    return () => clearInterval(look);
  }, []);
  return pads;
}

function Bar({ name, value }: { readonly name: string; readonly value: number }) {
  const styles = useStyles();
  return (
    <View style={styles.line}>
      <Words style={{ width: 84 }}>{name}</Words>
      <View style={styles.bar} role="img" aria-label={`${name} ${value.toFixed(1)}`}>
        <View style={[styles.knob, { left: `${(value + 1) * 50}%` }]} />
      </View>
    </View>
  );
}

/** Asks for one end after the other, and finds out by itself which axis moved. */
function Wizard({
  pad,
  onDone,
  onCancel,
}: {
  readonly pad: PadNow;
  readonly onDone: (axes: Record<Axis, AxisAt>) => void;
  readonly onCancel: () => void;
}) {
  const resting = useRef(pad.axes);
  const [found, setFound] = useState<Partial<Record<Axis, AxisAt>>>({});
  const [high, setHigh] = useState<{ readonly index: number; readonly value: number } | null>(null);
  const asked = ASKED[Object.keys(found).length]!;
  const taken = Object.values(found).map((each) => each.index);
  const moved = high
    ? Math.abs(pad.axes[high.index]! - high.value) > 0.5
      ? high.index
      : null
    : movedAxis(resting.current, pad.axes, taken);
  const take = () => {
    if (moved === null) return;
    const value = pad.axes[moved]!;
    if (!high) {
      setHigh({ index: moved, value });
      return;
    }
    const rest = asked.axis === 'throttle' ? (value + high.value) / 2 : resting.current[moved]!;
    const next = { ...found, [asked.axis]: { index: moved, low: value, rest, high: high.value } };
    setHigh(null);
    if (Object.keys(next).length === ASKED.length) onDone(next as Record<Axis, AxisAt>);
    else setFound(next);
  };
  return (
    <View style={{ gap: 10 }}>
      <Note icon="move" heading={high ? asked.low : asked.high} live>
        {moved === null ? 'Hold it there.' : `Axis ${moved + 1} moves. Hold it there and tap.`}
      </Note>
      <ButtonRow>
        <Button kind="solid" icon="check" label="It is there" disabled={moved === null} onPress={take} />
        <Button kind="quiet" label="Leave it" onPress={onCancel} />
      </ButtonRow>
    </View>
  );
}

/** How the sticks of a controller stand, in axes of the craft. */
function StickBars({ pad, setUp }: { readonly pad: PadNow; readonly setUp: ControllerSetUp | null }) {
  if (!setUp)
    return <Words>It flies with the usual axes of a game controller. A transmitter wants setting up.</Words>;
  return ASKED.map(({ axis }) => (
    <Bar
      key={axis}
      name={AXIS_NAMES[axis]}
      value={
        axis === 'throttle'
          ? stickAt(setUp.axes[axis], pad.axes)
          : shapedStick(stickAt(setUp.axes[axis], pad.axes), shapeOf(setUp, axis, pad.pressed))
      }
    />
  ));
}

/** Which of several to fly with. */
function WhichPad({
  pads,
  pad,
  onPick,
}: {
  readonly pads: readonly PadNow[];
  readonly pad: PadNow;
  readonly onPick: (pad: PadNow) => void;
}) {
  if (pads.length < 2) return <Words as="strong">{pad.id}</Words>;
  return (
    <Choice
      label="Fly with"
      value={pad.index}
      options={pads.map(({ index, id: name }) => ({ value: index, label: name }))}
      onChange={(index) => {
        const one = pads.find((each) => each.index === index);
        if (one) onPick(one);
      }}
    />
  );
}

/** The set-up of a controller as it is kept here; what is asked to be pressed becomes its switch. */
function useSetUp(pad: PadNow | null) {
  const [awaiting, setAwaiting] = useState<SwitchUse | null>(null);
  const [, refresh] = useState(0);
  const setUp = pad ? keptSetUpOnce(pad.id) : null;
  const id = pad?.id ?? null;
  const change = useCallback(
    (next: ControllerSetUp) => {
      if (id !== null) {
        keepSetUp(id, next);
        refresh((n) => n + 1);
      }
    },
    [id],
  );
  const button = awaiting && pad ? pad.pressed.indexOf(true) : -1;
  useEffect(() => {
    if (awaiting && setUp && button >= 0) {
      change({ ...setUp, switches: { ...setUp.switches, [awaiting]: button } });
      setAwaiting(null);
    }
  }, [awaiting, setUp, button, change]);
  return { setUp, change, awaiting, setAwaiting, lookAgain: () => refresh((n) => n + 1) };
}

/** Transmitters and game controllers: pick one up, move the sticks, and it is set up and kept. */
export function ControllerPart() {
  const pads = usePads();
  const pad = chosenPad(pads);
  const [asking, setAsking] = useState(false);
  const { setUp, change, awaiting, setAwaiting, lookAgain } = useSetUp(pad);
  if (!pad)
    return (
      <Part heading="Transmitter or controller">
        <Words as="soft">None seen. Plug it in and move a stick: the browser shows it only then.</Words>
      </Part>
    );
  const pick = (one: PadNow) => {
    pickPad(one);
    setAsking(false);
    setAwaiting(null);
    lookAgain();
  };
  return (
    <Part heading="Transmitter or controller">
      <WhichPad pads={pads} pad={pad} onPick={pick} />
      {asking ? (
        <Wizard
          pad={pad}
          onCancel={() => setAsking(false)}
          onDone={(axes) => {
            setAsking(false);
            change({ softening: 0, switches: {}, ...setUp, axes });
          }}
        />
      ) : (
        <>
          <StickBars pad={pad} setUp={setUp} />
          <Latency />
          <Button
            icon="sliders"
            label={setUp ? 'Set the sticks up again' : 'Set the sticks up'}
            onPress={() => setAsking(true)}
          />
          {setUp ? <Shaping setUp={setUp} pad={pad} onChange={change} /> : null}
          {setUp ? <Tuning setUp={setUp} awaiting={awaiting} onAwait={setAwaiting} /> : null}
        </>
      )}
    </Part>
  );
}
