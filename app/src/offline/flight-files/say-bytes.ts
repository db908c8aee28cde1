const MEGA = 1_000_000;
const GIGA = 1_000_000_000;
const toOnePlace = (value: number): number => Math.max(0.1, Math.round(value * 10) / 10);

/** Bytes as megabytes, or gigabytes where there are many, to one place. */
export function sayBytes(bytes: number): string {
  if (bytes === 0) return '0 MB';
  return bytes < GIGA ? `${toOnePlace(bytes / MEGA)} MB` : `${toOnePlace(bytes / GIGA)} GB`;
}
