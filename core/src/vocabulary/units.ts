/** What a school reads its numbers in; data stays in SI. */
export const LENGTH_UNITS = ['m', 'ft'] as const;
export type LengthUnit = (typeof LENGTH_UNITS)[number];
export const SPEED_UNITS = ['m/s', 'km/h', 'mph', 'kn'] as const;
export type SpeedUnit = (typeof SPEED_UNITS)[number];

export interface Units {
  readonly length: LengthUnit;
  readonly speed: SpeedUnit;
}

export const SI_UNITS: Units = { length: 'm', speed: 'm/s' };

/**
 * Metres or metres per second in one of the unit: exact by definition (international yard and pound
 * agreement; knot 1852 m/h).
 */
const IN_SI: Readonly<Record<LengthUnit | SpeedUnit, number>> = {
  m: 1,
  ft: 0.3048,
  'm/s': 1,
  'km/h': 1000 / 3600,
  mph: 1609.344 / 3600,
  kn: 1852 / 3600,
};

/** The school's unit for a quantity in an SI unit; other units stay as they are. */
export const unitFor = (siUnit: string, units: Units): string =>
  siUnit === 'm' ? units.length : siUnit === 'm/s' ? units.speed : siUnit;

const factorOf = (unit: string): number => IN_SI[unit as LengthUnit] ?? 1;

/** From SI to the school's unit. */
export const fromSi = (value: number, siUnit: string, units: Units): number =>
  value / factorOf(unitFor(siUnit, units));
/** From the school's unit to SI. */
export const toSi = (value: number, siUnit: string, units: Units): number =>
  value * factorOf(unitFor(siUnit, units));

/** Two digits are enough for what somebody judged by eye; more only where the value is large. */
const plain = (value: number): string => {
  const size = Math.abs(value);
  return String(size >= 10 ? Math.round(value) : Math.round(value * 10) / 10);
};

/** A quantity in words, with a space that does not break. */
export const sayQuantity = (value: number, siUnit: string, units: Units): string =>
  `${plain(fromSi(value, siUnit, units))}\u00a0${unitFor(siUnit, units)}`;

/** Fills the lengths and speeds that a sentence leaves open: `{m:12.3}` and `{v:4.5}`. */
export const inUnits = (sentence: string, units: Units): string =>
  sentence.replace(/\{(m|v):(-?[\d.]+)\}/g, (_, kind: string, value: string) =>
    sayQuantity(Number(value), kind === 'm' ? 'm' : 'm/s', units),
  );
