import { craftShape, flightShape, pilotShape, siteShape } from '../schemas/records';
import { command } from './command';
import * as handles from './handles';

/** The records that a school keeps: each is added, or changed from the revision that `basedOn` names. */
export const savePilot = command(handles.savePilot, { schema: pilotShape });
export const saveCraft = command(handles.saveCraft, { schema: craftShape });
export const saveSite = command(handles.saveSite, { schema: siteShape });
export const saveFlight = command(handles.saveFlight, { schema: flightShape });
