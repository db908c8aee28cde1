const MEGA = 1_000_000;

/** Bytes as megabytes, to one place. */
export const sayBytes = (bytes: number): string =>
  bytes === 0 ? '0 MB' : `${Math.max(0.1, Math.round((bytes / MEGA) * 10) / 10)} MB`;
