/** Standard atmosphere at sea level: pressure, Pa, and temperature, K; lapse, K/m (ISO 2533). */
const P0 = 101_325;
const T0 = 288.15;
const LAPSE = 0.0065;
/** g M / (R L): ISO 2533. */
const EXPONENT = 5.255_88;

/** Height in the standard atmosphere, m. @param pascals static pressure */
export const altitudeOfPressure = (pascals: number): number =>
  (T0 / LAPSE) * (1 - (pascals / P0) ** (1 / EXPONENT));
