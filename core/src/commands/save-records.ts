import { craftShape, flightShape, pilotShape, siteShape } from '../schemas/records';
import { command } from './command';

/** The records that a school keeps: each is added, or changed from the revision that `basedOn` names. */
export const savePilot = command({ name: 'save-pilot', address: '/pilots/:id', schema: pilotShape });
export const saveCraft = command({ name: 'save-craft', address: '/craft/:id', schema: craftShape });
export const saveSite = command({ name: 'save-site', address: '/sites/:id', schema: siteShape });
export const saveFlight = command({ name: 'save-flight', address: '/flights/:id', schema: flightShape });
