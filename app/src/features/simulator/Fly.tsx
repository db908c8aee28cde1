import { axesOf, type Axis } from '@skelby/core/vocabulary/flying';
import { craftFacts } from '@skelby/core/vocabulary/craft-facts';
import { type ReactNode, useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { useUnits } from '../../shared/api/use-units';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { themed } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';
import { AnswerChoices } from './AnswerChoices';
import { Field, FIELD_PX } from '../../shared/field/Field';
import { FieldMap, Readout } from './FlightReadout';
import { Gimbal } from './Gimbal';
import type { Hand } from './hands';
import { ScoredFlight } from './ScoredFlight';
import { type FlyState, type DrillToFly, useFly } from './use-fly';

const STICK_PX = 150;
/** A phone on its side: the field between the thumbs, px. */
const LOW = 520;
const LEAST_FIELD_PX = 260;
const AROUND_FIELD_PX = 180;

const useStyles = themed((theme) => ({
  over: {
    position: 'absolute',
    left: 8,
    right: 8,
    bottom: 8,
    // Chromium leaves out what an opaque box hides of the picture, and takes it away at the wrong end.
    opacity: 0.99,
    padding: 10,
    backgroundColor: theme.ground,
    borderWidth: 2,
    borderColor: theme.ink,
    gap: 8,
  },
  // What is to be judged is below: the craft and the ground.
  above: { top: 8, bottom: 'auto' },
  hands: { flexDirection: 'row', justifyContent: 'space-between' },
  low: { flexDirection: 'row', gap: 12, alignItems: 'flex-end' },
  middle: { flex: 1, minWidth: 0, gap: 6 },
}));

interface FlyProps extends DrillToFly {
  readonly onRelative: (on: boolean) => void;
  /** What became of the rep, under its score. */
  readonly recorded?: ReactNode;
}

interface PartProps {
  readonly props: FlyProps;
  readonly state: FlyState;
}

/** What the flight waits for, over the field; null while it waits for nothing. */
function askedOf({ flight, standing }: FlyState, { things = [] }: FlyProps['course']): ReactNode {
  if (!flight.isFlying)
    return <Button kind="main" icon="play" label="Start" onPress={flight.go} disabled={!standing} />;
  if (standing?.part.asks)
    return <AnswerChoices asks={standing.part.asks} things={things} onAnswer={flight.answer} />;
  if (standing?.part.hands === 'answer')
    return <Button kind="solid" icon="message-circle" label="Answer" onPress={() => flight.answer(true)} />;
  return standing?.returning ? (
    <Button kind="solid" icon="corner-up-left" label="Take it over" onPress={flight.takeOver} />
  ) : null;
}

/** The part being flown in words, the field, and its figures. */
function Seen({
  props,
  state,
  height,
  reads,
}: PartProps & { readonly height: number; readonly reads: boolean }) {
  const styles = useStyles();
  const { sentence } = useUnits();
  const { drill, craft, course, setUp, settings } = props;
  const { flight, standing, live } = state;
  const { isFlying, failed } = flight;
  const asked = askedOf(state, course);
  const part = standing?.part;
  const says = part ? `${part.of > 1 ? `${part.at + 1} of ${part.of}: ` : ''}${part.says}` : '';
  return (
    <>
      <Words as="heading">{isFlying ? says : sentence(drill.byEye)}</Words>
      <Field
        ref={state.field}
        height={height}
        spanM={craft.spanM}
        rotors={craft.rotors}
        marks={setUp.marks}
        scene={state.scene}
        throughCamera={state.throughCamera}
        cameraDeg={settings.cameraDeg}
        blind={isFlying && (part?.blind ?? false)}
        inset={reads ? <FieldMap live={live} marks={setUp.marks} /> : null}
      >
        {asked ? <View style={[styles.over, part?.asks ? styles.above : null]}>{asked}</View> : null}
      </Field>
      {failed ? (
        <Words as="strong" role="alert">{`! ${failed}`}</Words>
      ) : reads ? (
        <Readout live={live} />
      ) : null}
    </>
  );
}

function Stick({ props, state, hand, size }: PartProps & { readonly hand: Hand; readonly size: number }) {
  const { vertical, horizontal } = axesOf(props.layout)[hand];
  const { mode } = props.settings;
  const stays = (axis: Axis) => axis === 'throttle' && (mode === 'rate' || mode === 'self-level');
  return (
    <Gimbal
      key={`${hand} ${state.round}`}
      hand={hand}
      hands={state.hands}
      moves={{ vertical, horizontal }}
      says={`${hand === 'left' ? 'Left' : 'Right'} stick: ${vertical}, ${horizontal}`}
      stays={stays(vertical)}
      size={size}
    />
  );
}

/** What can be done to a craft that holds its place. */
function HoldActs({ state: { flight, standing, turnHold, turnLink } }: Pick<PartProps, 'state'>) {
  return (
    <>
      <Button
        icon={standing?.holdLost ? 'anchor' : 'shuffle'}
        label={standing?.holdLost ? 'Switch hold on' : 'Switch hold off'}
        onPress={turnHold}
      />
      {flight.isFlying ? (
        <Button
          icon={standing?.linkLost ? 'wifi' : 'wifi-off'}
          label={standing?.linkLost ? 'Give the link back' : 'Lose the link'}
          onPress={turnLink}
        />
      ) : null}
      {standing?.returning ? null : <Button icon="home" label="Come home" onPress={flight.goHome} />}
    </>
  );
}

interface ActsProps extends PartProps {
  readonly reads: boolean;
  /** Null where there are no figures to show. */
  readonly onReads: ((reads: boolean) => void) | null;
}

function Acts({ props, state, reads, onReads }: ActsProps) {
  const { settings, craft, onRelative } = props;
  const { mode, relative } = settings;
  return (
    <ButtonRow>
      {state.flight.isFlying ? <Button icon="rotate-ccw" label="Again" onPress={state.again} /> : null}
      <Button
        icon={state.throughCamera ? 'user' : 'camera'}
        label={state.throughCamera ? 'From the ground' : 'Camera'}
        onPress={state.turnCamera}
      />
      {mode === 'position-hold' ? <HoldActs state={state} /> : null}
      {mode !== 'rate' && craftFacts(craft).hasPilotRelative ? (
        <Button
          icon="compass"
          label={relative ? 'Pilot-relative off' : 'Pilot-relative on'}
          onPress={() => onRelative(!relative)}
        />
      ) : null}
      {onReads ? (
        <Button
          kind="quiet"
          label={reads ? 'Hide figures and map' : 'Show figures and map'}
          onPress={() => onReads(!reads)}
        />
      ) : null}
    </ButtonRow>
  );
}

/** The craft, the sticks and the drill: flown, measured, and shown again. */
export function Fly(props: FlyProps) {
  const styles = useStyles();
  const { width, height } = useWindowDimensions();
  const [readsFigures, setReads] = useState(true);
  // What is to be judged by eye is not written beside the picture.
  const isByEye = props.course.stages.some(({ seen }) => seen !== undefined);
  const reads = readsFigures && !isByEye;
  const state = useFly(props);
  const { scored, save } = state.flight;
  if (scored)
    return (
      <ScoredFlight
        scored={scored}
        craft={props.craft}
        marks={props.setUp.marks}
        scene={state.scene}
        layout={props.layout}
        cameraDeg={props.settings.cameraDeg}
        course={props.course}
        recorded={props.recorded}
        onAgain={state.again}
        onSave={save}
      />
    );
  const low = height < LOW && width > height;
  const size = low ? Math.min(STICK_PX, (width - LEAST_FIELD_PX) / 2) : STICK_PX;
  const fieldHeight = low ? Math.max(LEAST_FIELD_PX / 2, height - AROUND_FIELD_PX) : FIELD_PX;
  const part = { props, state };
  return (
    <>
      {low ? (
        <View style={styles.low}>
          <Stick {...part} hand="left" size={size} />
          <View style={styles.middle}>
            <Seen {...part} height={fieldHeight} reads={reads} />
          </View>
          <Stick {...part} hand="right" size={size} />
        </View>
      ) : (
        <>
          <Seen {...part} height={fieldHeight} reads={reads} />
          <View style={styles.hands}>
            <Stick {...part} hand="left" size={size} />
            <Stick {...part} hand="right" size={size} />
          </View>
        </>
      )}
      <Acts {...part} reads={reads} onReads={isByEye ? null : setReads} />
    </>
  );
}
