/** How fast time goes for the craft, against the pilot's. */
const PACES = [1, 0.5, 0.25] as const;
export type Pace = (typeof PACES)[number];

export const PACE_WORDS: Readonly<Record<Pace, string>> = {
  1: 'full speed',
  0.5: 'half speed',
  0.25: 'quarter speed',
};

/** From full to half to quarter, and round. */
export const slower = (pace: Pace): Pace => PACES[(PACES.indexOf(pace) + 1) % PACES.length]!;
