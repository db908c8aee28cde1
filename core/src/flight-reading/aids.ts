import { modeAt, settingAt } from '../flight-log/flight-log';
import { cannot, type CannotTell, type Finding, type Reader } from './finding';
import type { Trouble } from './trouble';

type Read = readonly (Finding | CannotTell)[];

/** Modes, settings and hold, as far as they were recorded. */
export const aidsReader: Reader = (trouble) => {
  const { last, lines } = trouble;
  const found = (id: Finding['id'], value: string): Finding => ({ id, value, atS: last.t, sure: 1 });
  if (!lines.has('mode')) return cannot('no-mode', 'flight_mode', 'position_hold', 'height_hold');
  const mode = modeAt(last);
  const lost = lines.happened('hold-lost');
  const read: Finding[] = [found('flight_mode', mode)];
  if (lines.has('setting')) read.push(found('speed_setting', settingAt(last)));
  read.push(found('height_hold', mode === 'position-hold' || mode === 'height-hold' ? 'on' : 'off'));
  if (lines.has('relative')) {
    const relative = lines.all.map((each) => each.relative);
    read.push(found('pilot_relative', last.relative ? 'on' : 'off'));
    if (relative.some((value, i) => i > 0 && value !== relative[i - 1]))
      read.push(found('mode_toggled', 'pilot-relative'));
    else if (!lost) read.push(found('mode_toggled', 'none'));
  }
  return [...read, ...holdRead(trouble, lost)];
};

function holdRead({ last, lines }: Trouble, lost: boolean): Read {
  if (!lines.has('hold')) return cannot('no-mode', 'position_hold');
  const held = lines.all[0]!;
  const promised = held.mode === 3 && held.hold === 1;
  const dropped = lost || (promised && last.hold === 0);
  const state = modeAt(last) !== 'position-hold' ? 'off' : dropped ? 'dropped' : 'on';
  return [
    { id: 'hold_expected', value: promised ? 'yes' : 'no', atS: held.t, sure: 0.7 },
    { id: 'position_hold', value: state, atS: last.t, sure: 1 },
  ];
}

/** Link, automatic return and pack. */
export const automaticsReader: Reader = ({ last, lines, from }) => {
  const found = (id: Finding['id'], value: string | number): Finding => ({ id, value, atS: last.t, sure: 1 });
  const returned = lines.happened('return');
  const cutOff = lines.happened('link-lost');
  const read: (Finding | CannotTell)[] = [];
  if (lines.happened('lands-itself'))
    read.push(found('auto_return', 'battery'), found('auto_phase', 'landing'));
  else if (returned) {
    read.push(found('auto_return', 'commanded'));
    read.push(found('auto_phase', lines.happened('take-over') ? 'cancelled' : 'on-the-way'));
  } else if (cutOff && from.simulated?.onLinkLoss !== 'hover') read.push(found('auto_return', 'link-loss'));
  else if (from.simulated) read.push(found('auto_return', 'none'));
  if (cutOff) read.push(found('link', 'control-lost'));
  if ((returned || cutOff) && from.simulated?.returnHeightM !== undefined)
    read.push(found('return_height_m', from.simulated.returnHeightM));
  if (lines.has('battery')) read.push(found('battery_pct', Math.round(last.battery * 100)));
  else read.push(...cannot('no-battery', 'battery_pct'));
  return read;
};

/** What a simulator knows of its own flight, and no recorder does: no defect, no weather, no picture. */
export const simulatedReader: Reader = ({ from, last, lines }) =>
  from.simulated
    ? (
        [
          ['motors_cut', 'no'],
          ...(lines.happened('link-lost') ? [] : [['link', 'steady'] as const]),
          ...(last.relative ? [['pilot_moved', from.simulated.pilotWalked ? 'yes' : 'no'] as const] : []),
          ['wildlife', 'none'],
          ['precipitation', 'none'],
          ['craft_check', 'passed'],
          ['after_inspection', 'sound'],
          ['calibration', 'done'],
          ['view', 'direct-sight'],
        ] as const
      ).map(([id, value]) => ({ id, value, atS: last.t, sure: 1 }))
    : [];
