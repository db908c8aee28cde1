/**
 * Full thrust of a nearly empty pack over that of a full one; below the last few per cent the voltage falls away and
 * the motors with it. From memory.
 */
const EMPTY_PACK = 0.72;
const FALLS_AWAY_BELOW = 0.03;
const NO_POWER = 1e-3;

/** A craft that holds its height lands by itself below this charge, wherever it is. Common practice: 5 to 10 %. */
export const LANDS_ITSELF_BELOW = 0.08;

/** Share of full thrust that a pack gives with so much charge left, both 0 to 1. */
export const powerOf = (charge: number): number =>
  Math.max(
    NO_POWER,
    (EMPTY_PACK + (1 - EMPTY_PACK) * Math.sqrt(charge)) * Math.min(1, charge / FALLS_AWAY_BELOW),
  );
