/** Files that may be a flight; what one is is told by what is in it. */
export const ACCEPTED = '.csv,.txt,.tsv,.gpx,.geojson,.json,.ulg,text/*,application/json,application/gpx+xml';

/** Minutes in the air, as they stand among what was flown. */
export const flownMinutes = (airborneS: number): number => Math.max(1, Math.round(airborneS / 60));
