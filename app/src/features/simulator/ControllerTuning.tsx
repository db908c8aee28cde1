import type { Axis } from '@skelby/core/vocabulary/flying';
import { useEffect, useState } from 'react';
import { StickCurve } from '../../shared/drawing';
import { Stepper } from '../../shared/forms/Stepper';
import { Button } from '../../shared/ui/Button';
import { Row, Rows } from '../../shared/ui/Rows';
import { Words } from '../../shared/ui/Words';
import {
  type ControllerSetUp,
  type PadNow,
  shapeOf,
  stickAt,
  SWITCH_USES,
  type SwitchUse,
} from './controller';

/** Pictures whose delay is told. */
const LATELY = 120;
const USE_WORDS: Readonly<Record<SwitchUse, string>> = {
  again: 'Again',
  camera: 'Camera or ground',
  hold: 'Hold off, hold on',
  home: 'Come home',
  rate: 'Smaller travel, while it is on',
};
export const AXIS_NAMES: Readonly<Record<Axis, string>> = {
  throttle: 'Throttle',
  yaw: 'Yaw',
  pitch: 'Pitch',
  roll: 'Roll',
};

interface SetUpProps {
  readonly setUp: ControllerSetUp;
  readonly awaiting: SwitchUse | null;
  readonly onAwait: (use: SwitchUse | null) => void;
  readonly onChange: (next: ControllerSetUp) => void;
}

const TRIMMED = ['yaw', 'pitch', 'roll'] as const satisfies readonly Axis[];
const MOST_TRIM = 20;

/** How the sticks are shaped, drawn as it flies the craft. */
export function Shaping({
  setUp,
  pad,
  onChange,
}: Pick<SetUpProps, 'setUp' | 'onChange'> & { readonly pad: PadNow }) {
  const { softening, rate = 1, trims = {} } = setUp;
  const percent = (share: number) => Math.round(share * 100);
  const within = (value: number, least: number, most: number) => Math.min(most, Math.max(least, value / 100));
  return (
    <>
      <StickCurve shape={shapeOf(setUp, 'roll', pad.pressed)} stick={stickAt(setUp.axes.roll, pad.axes)} />
      <Stepper
        label="Centre-softening"
        unit="%"
        value={percent(softening)}
        step={10}
        least={0}
        most={90}
        onChange={(value) => {
          if (value !== null) onChange({ ...setUp, softening: within(value, 0, 0.9) });
        }}
      />
      <Stepper
        label="Smaller travel"
        unit="%"
        value={percent(rate)}
        step={10}
        least={30}
        most={100}
        onChange={(value) => {
          if (value !== null) onChange({ ...setUp, rate: within(value, 0.3, 1) });
        }}
      />
      {TRIMMED.map((axis) => (
        <Stepper
          key={axis}
          label={`Trim, ${AXIS_NAMES[axis].toLowerCase()}`}
          unit="%"
          value={percent(trims[axis] ?? 0)}
          step={1}
          least={-MOST_TRIM}
          most={MOST_TRIM}
          onChange={(value) => {
            if (value !== null)
              onChange({
                ...setUp,
                trims: { ...trims, [axis]: within(value, -MOST_TRIM / 100, MOST_TRIM / 100) },
              });
          }}
        />
      ))}
    </>
  );
}

/** From a stick that moves to the picture that shows it, as far as this page can tell: the median of the last ones. */
export function Latency() {
  const [ms, setMs] = useState<number | null>(null);
  useEffect(() => {
    const lately: number[] = [];
    const watch = new PerformanceObserver((list) => {
      for (const { duration } of list.getEntriesByName('skelby.stick-to-pose')) lately.push(duration);
      if (lately.length === 0) return;
      lately.splice(0, lately.length - LATELY);
      setMs([...lately].sort((a, b) => a - b)[lately.length >> 1]!);
    });
    watch.observe({ type: 'measure', buffered: true });
    return () => watch.disconnect();
  }, []);
  return ms === null ? null : (
    <Words as="soft">{`From stick to picture: ${ms.toFixed(0)} ms here, and what controller and screen add.`}</Words>
  );
}

/** Switches of a controller that has been set up. */
export function Tuning({ setUp, awaiting, onAwait }: Omit<SetUpProps, 'onChange'>) {
  const underOf = (use: SwitchUse): string => {
    if (awaiting === use) return 'Press it now …';
    return setUp.switches[use] === undefined ? 'No switch' : `Switch ${setUp.switches[use] + 1}`;
  };
  return (
    <Rows>
      {SWITCH_USES.map((use) => (
        <Row
          key={use}
          title={USE_WORDS[use]}
          under={underOf(use)}
          after={
            <Button
              label={awaiting === use ? 'Leave it' : 'Set'}
              says={`Set the switch for: ${USE_WORDS[use]}`}
              onPress={() => onAwait(awaiting === use ? null : use)}
            />
          }
        />
      ))}
    </Rows>
  );
}
