import { onReleaseIn, type FlightMode } from '../vocabulary/flying';

/**
 * Where good instructors disagree: of each question the usual answer first. What decides by craft, mode or place (what
 * the hands do when it goes wrong, what the craft does when its link is lost) is no question of taste, and none of these.
 */
export const METHODS = {
  /** Begin with every help and take it away piece by piece, or without from the first day. */
  assistance: ['assist-down', 'manual-first'],
  /** When position hold is switched off on purpose: once the pilot flies with it, or as soon as a hover stands. */
  holdOff: ['late', 'early'],
  /** When the nose comes round: once circles are flown, or before, in small doses. */
  noseIn: ['late', 'early'],
  /** How a gap is flown: slow where the craft holds itself and faster where it does not, always slow, or always faster. */
  gapSpeed: ['by-mode', 'slow', 'faster'],
  /** Obstacle sensors are flown as if they were off, or are used, once the pilot has found out what they see. */
  sensors: ['as-if-off', 'used'],
  /** One drill until most of it comes off, or mixed with others from early on. */
  mixing: ['late', 'early'],
} as const;

export type MethodQuestion = keyof typeof METHODS;
export type MethodAnswer<Q extends MethodQuestion = MethodQuestion> = (typeof METHODS)[Q][number];
export type Methods = { readonly [Q in MethodQuestion]: MethodAnswer<Q> };

export const METHOD_QUESTIONS = Object.keys(METHODS) as readonly MethodQuestion[];

/** What a pilot is taught otherwise than the school teaches; `assistance` is the pilot's own track, kept with the pilot. */
export type OwnMethods = { readonly [Q in Exclude<MethodQuestion, 'assistance'>]?: MethodAnswer<Q> | null };

export const OWN_METHOD_QUESTIONS = METHOD_QUESTIONS.filter(
  (question): question is keyof OwnMethods => question !== 'assistance',
);

export const USUAL_METHODS: Methods = {
  assistance: METHODS.assistance[0],
  holdOff: METHODS.holdOff[0],
  noseIn: METHODS.noseIn[0],
  gapSpeed: METHODS.gapSpeed[0],
  sensors: METHODS.sensors[0],
  mixing: METHODS.mixing[0],
};

/** How a pilot is taught: as the school teaches, but for what is the pilot's own. */
export function methodsFor(
  school: Partial<Methods> | null | undefined,
  pilot: { readonly track: Methods['assistance']; readonly methods?: OwnMethods | null },
): Methods {
  const own = Object.entries(pilot.methods ?? {}).filter(([, answer]) => answer !== null);
  return { ...USUAL_METHODS, ...school, ...Object.fromEntries(own), assistance: pilot.track };
}

/** How a gap is flown by whoever flies in this mode: with position hold there is time, without it speed is authority. */
export const gapSpeedIn = ({ gapSpeed }: Pick<Methods, 'gapSpeed'>, mode: FlightMode): 'slow' | 'faster' =>
  gapSpeed === 'by-mode' ? (onReleaseIn(mode) === 'hold' ? 'slow' : 'faster') : gapSpeed;
