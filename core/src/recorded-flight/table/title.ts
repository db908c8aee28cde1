/** A header without its unit, and the unit. */
export interface Title {
  readonly name: string;
  readonly unit: string | null;
}

const IN_BRACKETS = /^(.*?)\s*[[({]\s*([^\])}]*)\s*[\])}]\s*$/;
/** Units that stand at the end of a name behind a joint: `height_ft`, `speed.kmh`. */
const SUFFIXES: Readonly<Record<string, string>> = {
  ms: 'ms',
  us: 'us',
  usec: 'us',
  msec: 'ms',
  sec: 's',
  s: 's',
  m: 'm',
  ft: 'ft',
  feet: 'ft',
  cm: 'cm',
  mm: 'mm',
  deg: 'deg',
  rad: 'rad',
  kmh: 'km/h',
  kph: 'km/h',
  kt: 'kn',
  kts: 'kn',
  kn: 'kn',
  mph: 'mph',
  mps: 'm/s',
  pct: '%',
  percent: '%',
  hpa: 'hPa',
  pa: 'Pa',
};

/** @param header as it stands in the file */
export function titleOf(header: string): Title {
  const text = header.trim();
  const bracketed = IN_BRACKETS.exec(text);
  if (bracketed) return { name: bracketed[1]!.trim(), unit: bracketed[2]!.trim() || null };
  const joint = /^(.+)[_.\s-]([A-Za-z]+)$/.exec(text);
  const unit = joint && SUFFIXES[joint[2]!.toLowerCase()];
  return joint && unit ? { name: joint[1]!, unit } : { name: text, unit: null };
}
