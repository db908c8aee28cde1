import { craftFacts } from '@skelby/core/vocabulary/craft-facts';
import { type ReactNode, useState } from 'react';
import { ScrollView, useWindowDimensions, View } from 'react-native';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { themed } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';
import { Readout } from './FlightReadout';
import { PACE_WORDS } from './pace';
import type { Scored } from './practice-messages';
import type { DrillToFly, FlyState } from './use-fly';
import type { useWhole } from './use-whole';

/** Of the display, so that what is flown stays in sight above it. */
const DRAWER_SHARE = 0.55;

const useStyles = themed((theme) => ({
  foot: { gap: 6 },
  plate: {
    backgroundColor: theme.ground,
    opacity: 0.94,
    paddingHorizontal: 10,
    paddingVertical: 2,
    alignSelf: 'center',
    maxWidth: '100%',
  },
  tools: { flexDirection: 'row', flexWrap: 'wrap', gap: 6, justifyContent: 'center' },
  tool: { paddingHorizontal: 10 },
  drawer: {
    backgroundColor: theme.ground,
    borderWidth: 2,
    borderColor: theme.ink,
    padding: 10,
    gap: 10,
  },
}));

export interface FlyProps extends DrillToFly {
  readonly onRelative: (on: boolean) => void;
  /** What became of the rep, under its score. */
  readonly recorded?: ReactNode;
  /** How it is set up: in a drawer while the field fills the display. */
  readonly choices: ReactNode;
  readonly onWhole: (isWhole: boolean) => void;
  /** What is said of a flight that is over, where it is not judged. */
  readonly says?: (scored: Scored) => ReactNode;
}

export interface PartProps {
  readonly props: FlyProps;
  readonly state: FlyState;
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

export function Acts({
  props,
  state,
  reads,
  onReads,
  isInDrawer = false,
}: ActsProps & { readonly isInDrawer?: boolean }) {
  const { settings, craft, onRelative } = props;
  const { mode, relative } = settings;
  return (
    <ButtonRow>
      {state.flight.isFlying && !isInDrawer ? (
        <Button icon="rotate-ccw" label="Again" onPress={state.again} />
      ) : null}
      <Button
        icon={state.throughCamera ? 'user' : 'camera'}
        label={state.throughCamera ? 'From the ground' : 'Camera'}
        onPress={state.turnCamera}
      />
      {state.flight.isFlying && !isInDrawer ? (
        <Button icon="pause" label="Freeze" onPress={state.flight.freeze} />
      ) : null}
      <Button icon="clock" label={`Time: ${PACE_WORDS[state.pace]}`} onPress={state.turnPace} />
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

/** Figures, or why there are none. */
export function Figures({ state: { flight, live }, reads }: Pick<ActsProps, 'state' | 'reads'>) {
  if (flight.failed) return <Words as="strong" role="alert">{`! ${flight.failed}`}</Words>;
  return reads ? <Readout live={live} /> : null;
}

interface FootProps extends ActsProps {
  readonly whole: ReturnType<typeof useWhole>;
}

/** Over the field: figures, what is done most in flight, and a drawer with the rest. */
export function FootOver({ whole, ...acts }: FootProps) {
  const styles = useStyles();
  const { height } = useWindowDimensions();
  const [isOpen, setOpen] = useState(false);
  const { props, state, reads } = acts;
  return (
    <View style={styles.foot}>
      {isOpen ? (
        <ScrollView style={{ maxHeight: height * DRAWER_SHARE }} contentContainerStyle={styles.drawer}>
          <Acts {...acts} isInDrawer />
          {props.choices}
        </ScrollView>
      ) : null}
      {(state.flight.failed ?? reads) ? (
        <View style={styles.plate}>
          <Figures state={state} reads={reads} />
        </View>
      ) : null}
      <View style={styles.tools}>
        <Button style={styles.tool} icon="rotate-ccw" label="Again" onPress={state.again} />
        {state.flight.isFlying ? (
          <Button style={styles.tool} icon="pause" label="Freeze" onPress={state.flight.freeze} />
        ) : null}
        <Button
          style={styles.tool}
          icon="sliders"
          label={isOpen ? 'Close' : 'Settings'}
          onPress={() => setOpen(!isOpen)}
        />
        <Button style={styles.tool} icon="minimize-2" label="Smaller" onPress={whole.leave} />
      </View>
    </View>
  );
}
