/**
 * With every help, taken away piece by piece; or without from the first day. Both schools teach well; see
 * each pilot's own.
 */
export const TRACKS = ['assist-down', 'manual-first'] as const;
export type Track = (typeof TRACKS)[number];

/**
 * How hard a practice rep is set, against the standard: bigger gaps, more help, less wind, or the other way.
 */
export const LEVELS = [-2, -1, 0, 1] as const;
export type Level = (typeof LEVELS)[number];
