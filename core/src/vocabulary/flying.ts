/** The words of flying that data, API and screens share. */

export const AXES = ['throttle', 'yaw', 'pitch', 'roll'] as const;
export type Axis = (typeof AXES)[number];

export const FLIGHT_MODES = ['rate', 'self-level', 'height-hold', 'position-hold', 'programmed'] as const;
export type FlightMode = (typeof FLIGHT_MODES)[number];

/**
 * What a craft and its mode do when the sticks are released: `hold` stops and hovers by itself,
 * `manual` keeps its attitude or its drift. The first response to trouble depends on it.
 */
export type OnRelease = 'hold' | 'manual';

export const onReleaseIn = (mode: FlightMode): OnRelease =>
  mode === 'position-hold' || mode === 'programmed' ? 'hold' : 'manual';

export const STICK_LAYOUTS = [1, 2, 3, 4] as const;
export type StickLayout = (typeof STICK_LAYOUTS)[number];

export interface StickPlateAxes {
  readonly left: { readonly vertical: Axis; readonly horizontal: Axis };
  readonly right: { readonly vertical: Axis; readonly horizontal: Axis };
}

/** Which axis sits on which hand, for the four usual transmitter layouts. */
export function axesOf(layout: StickLayout): StickPlateAxes {
  switch (layout) {
    case 1:
      return {
        left: { vertical: 'pitch', horizontal: 'yaw' },
        right: { vertical: 'throttle', horizontal: 'roll' },
      };
    case 2:
      return {
        left: { vertical: 'throttle', horizontal: 'yaw' },
        right: { vertical: 'pitch', horizontal: 'roll' },
      };
    case 3:
      return {
        left: { vertical: 'pitch', horizontal: 'roll' },
        right: { vertical: 'throttle', horizontal: 'yaw' },
      };
    case 4:
      return {
        left: { vertical: 'throttle', horizontal: 'roll' },
        right: { vertical: 'pitch', horizontal: 'yaw' },
      };
  }
}

export const PLACES = ['open', 'trees', 'indoors', 'under-structure', 'built-up', 'water'] as const;
export type Place = (typeof PLACES)[number];

export const KINDS_OF_OCCURRENCE = ['crash', 'near-miss'] as const;
export type OccurrenceKind = (typeof KINDS_OF_OCCURRENCE)[number];
