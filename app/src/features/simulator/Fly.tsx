import { axesOf, type Axis } from '@skelby/core/vocabulary/flying';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { useUnits } from '../../shared/api/use-units';
import { Button } from '../../shared/ui/Button';
import { themed } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';
import { AnswerChoices } from './AnswerChoices';
import { Field, FIELD_PX } from '../../shared/field/Field';
import { FieldMap } from './FlightReadout';
import { Acts, Figures, type FlyProps, FootOver, type PartProps } from './FlyActs';
import { FlyDisplay } from './FlyDisplay';
import { Gimbal } from './Gimbal';
import type { Hand } from './hands';
import { ScoredFlight } from './ScoredFlight';
import { type FlyState, useFly } from './use-fly';
import { useWhole } from './use-whole';

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
  // Below what is said, and clear of the thumbs.
  overWhole: { top: 96, bottom: 'auto', alignSelf: 'center', maxWidth: 520, left: 'auto', right: 'auto' },
}));

/** What the flight waits for, over the field; null while it waits for nothing. */
function askedOf({ flight, standing }: FlyState, { things = [] }: FlyProps['course']): ReactNode {
  if (!flight.isFlying)
    return (
      <Button
        kind="main"
        icon="play"
        label={flight.isFrozen ? 'Fly on' : 'Start'}
        onPress={flight.go}
        disabled={!standing}
      />
    );
  if (standing?.part.asks)
    return <AnswerChoices asks={standing.part.asks} things={things} onAnswer={flight.answer} />;
  if (standing?.part.hands === 'answer')
    return <Button kind="solid" icon="message-circle" label="Answer" onPress={() => flight.answer(true)} />;
  return standing?.returning ? (
    <Button kind="solid" icon="corner-up-left" label="Take it over" onPress={flight.takeOver} />
  ) : null;
}

/** The part being flown, in words. */
function Says({ props: { drill }, state: { flight, standing } }: PartProps) {
  const { sentence } = useUnits();
  const part = standing?.part;
  const says = part ? `${part.of > 1 ? `${part.at + 1} of ${part.of}: ` : ''}${part.says}` : '';
  return <Words as="heading">{flight.isFlying || flight.isFrozen ? says : sentence(drill.byEye)}</Words>;
}

interface SeenProps extends PartProps {
  readonly height: number;
  readonly reads: boolean;
  readonly isWhole: boolean;
}

/** The field, the map in its corner, and what it waits for. */
function Seen({ props, state, height, reads, isWhole }: SeenProps) {
  const styles = useStyles();
  const { craft, course, setUp, settings } = props;
  const { flight, standing, live } = state;
  const asked = askedOf(state, course);
  const part = standing?.part;
  return (
    <Field
      ref={state.field}
      height={height}
      spanM={craft.spanM}
      rotors={craft.rotors}
      marks={setUp.marks}
      scene={state.scene}
      throughCamera={state.throughCamera}
      cameraDeg={settings.cameraDeg}
      blind={flight.isFlying && (part?.blind ?? false)}
      inset={reads ? <FieldMap live={live} marks={setUp.marks} /> : null}
    >
      {asked ? (
        <View style={[styles.over, isWhole ? styles.overWhole : part?.asks ? styles.above : null]}>
          {asked}
        </View>
      ) : null}
    </Field>
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

/** The page around it puts away what stands in the drawer. */
function useTellsWhole(isWhole: boolean, onWhole: (isWhole: boolean) => void): void {
  const tell = useRef(onWhole);
  tell.current = onWhole;
  useEffect(() => {
    tell.current(isWhole);
    return () => tell.current(false);
  }, [isWhole]);
}

/** The craft, the sticks and the drill: flown, measured, and shown again. */
export function Fly(props: FlyProps) {
  const { width, height } = useWindowDimensions();
  const box = useRef<HTMLDivElement>(null);
  const [readsFigures, setReads] = useState(true);
  // What is to be judged by eye is not written beside the picture.
  const isByEye = props.course.stages.some(({ seen }) => seen !== undefined);
  const reads = readsFigures && !isByEye;
  const state = useFly(props);
  const whole = useWhole(box, (state.flight.isFlying || state.flight.isFrozen) && !state.flight.scored);
  useTellsWhole(whole.isWhole, props.onWhole);
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
        panel={props.says?.(scored)}
        onAgain={state.again}
        onNext={state.next}
        onTakeOver={state.flight.flyFrom}
        onSave={save}
      />
    );
  const isLow = height < LOW && width > height;
  const lie = whole.isWhole ? 'whole' : isLow ? 'low' : 'tall';
  const size = isLow ? Math.min(STICK_PX, (width - LEAST_FIELD_PX) / 2) : STICK_PX;
  const heights = {
    whole: height,
    low: Math.max(LEAST_FIELD_PX / 2, height - AROUND_FIELD_PX),
    tall: FIELD_PX,
  };
  const part = { props, state };
  const acts = { ...part, reads, onReads: isByEye ? null : setReads };
  return (
    <>
      <FlyDisplay
        lie={lie}
        box={box}
        stickPx={size}
        says={<Says {...part} />}
        field={<Seen {...part} height={heights[lie]} reads={reads} isWhole={whole.isWhole} />}
        foot={whole.isWhole ? <FootOver {...acts} whole={whole} /> : <Figures state={state} reads={reads} />}
        left={<Stick {...part} hand="left" size={size} />}
        right={<Stick {...part} hand="right" size={size} />}
      />
      {whole.isWhole ? null : (
        <>
          {state.flight.isFlying || state.flight.isFrozen ? (
            <Button kind="quiet" icon="maximize-2" label="Fill the display" onPress={whole.fill} />
          ) : null}
          <Acts {...acts} />
        </>
      )}
    </>
  );
}
