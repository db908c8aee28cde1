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

interface ShareProps {
  readonly label: string;
  readonly share: number;
  /** Per cent. */
  readonly limits: readonly [least: number, most: number];
  readonly step?: number;
  readonly onChange: (share: number) => void;
}

/** A share, asked for in per cent. */
function Share({ label, share, limits: [least, most], step = 10, onChange }: ShareProps) {
  return (
    <Stepper
      {...{ label, step, least, most }}
      unit="%"
      value={Math.round(share * 100)}
      onChange={(value) => {
        if (value !== null) onChange(Math.min(most, Math.max(least, value)) / 100);
      }}
    />
  );
}

/** How the sticks are shaped, drawn as it flies the craft. */
export function Shaping({
  setUp,
  pad,
  onChange,
}: Pick<SetUpProps, 'setUp' | 'onChange'> & { readonly pad: PadNow }) {
  const { softening, rate = 1, trims = {} } = setUp;
  return (
    <>
      <StickCurve shape={shapeOf(setUp, 'roll', pad.pressed)} stick={stickAt(setUp.axes.roll, pad.axes)} />
      <Share
        label="Centre-softening"
        share={softening}
        limits={[0, 90]}
        onChange={(next) => onChange({ ...setUp, softening: next })}
      />
      <Share
        label="Smaller travel"
        share={rate}
        limits={[30, 100]}
        onChange={(next) => onChange({ ...setUp, rate: next })}
      />
      {TRIMMED.map((axis) => (
        <Share
          key={axis}
          label={`Trim, ${AXIS_NAMES[axis].toLowerCase()}`}
          share={trims[axis] ?? 0}
          step={1}
          limits={[-MOST_TRIM, MOST_TRIM]}
          onChange={(next) => onChange({ ...setUp, trims: { ...trims, [axis]: next } })}
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
