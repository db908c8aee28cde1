import { said } from '@skelby/copy/say';
import { restricts } from '@skelby/core/clearance/open-states';
import type { WeaknessState } from '@skelby/core/clearance/rungs';
import type { FlightCheck } from '@skelby/core/go-no-go/flight-to-be';
import { judgeSession, refusedIn, type SessionToBe } from '@skelby/core/go-no-go/session';
import type { CauseId } from '@skelby/core/causes/causes';
import type { SessionFields } from '@skelby/core/schemas/session';
import { inUnits } from '@skelby/core/vocabulary/units';
import type { CraftRecord } from '@skelby/core/vocabulary/craft-facts';
import type { FlightMode, Place } from '@skelby/core/vocabulary/flying';
import type { SchoolTx } from '../db/in-school';
import { unitsOf } from './units';

interface WeaknessRow {
  readonly id: string;
  readonly pilotId: string;
  readonly causeId: CauseId;
  readonly state: WeaknessState;
  readonly limited: boolean;
}

/** The session as the judge sees it, from what the school has on record. The light is the phone's to know. */
async function flyingIn({ tx }: SchoolTx, content: SessionFields): Promise<SessionToBe> {
  const ids = [...new Set(content.packs.map(({ pilotId }) => pilotId))];
  const pilots = (await tx('pilots').whereIn('id', ids)) as {
    id: string;
    name: string;
    mode: FlightMode;
    windLimitMps: number;
    holdOff: boolean;
  }[];
  const { rows: craft } = (await tx.raw(
    `select distinct on (f.pilot_id) f.pilot_id as of_pilot, c.* from flights f
       join craft c on c.school_id = f.school_id and c.id = f.craft_id
      where f.pilot_id = any(?) order by f.pilot_id, f.day desc, f.id desc`,
    [ids],
  )) as { rows: (CraftRecord & { ofPilot: string })[] };
  const weaknesses = (await tx('weaknesses').whereIn('pilot_id', ids)) as WeaknessRow[];
  const site = content.siteId
    ? ((await tx('sites').where({ id: content.siteId }).first()) as
        { place: Place; tallestM: number; ceilingM: number | null } | undefined)
    : undefined;
  return {
    content,
    site: site ?? null,
    lightMin: null,
    pilots: pilots.map((pilot) => ({
      ...pilot,
      craft: craft.find(({ ofPilot }) => ofPilot === pilot.id) ?? null,
      weaknesses: weaknesses.filter((each) => each.pilotId === pilot.id && restricts(each)),
    })),
  };
}

/** What nobody may begin the session with unless a trainer says why, in the school's units. */
export async function sessionRefusals(school: SchoolTx, content: SessionFields): Promise<readonly string[]> {
  const units = await unitsOf(school);
  const refused: readonly FlightCheck[] = refusedIn(judgeSession(await flyingIn(school, content)));
  return refused.map((check) =>
    inUnits(`${said(check.said)} ${check.remedy ? said(check.remedy) : ''}.`, units),
  );
}
