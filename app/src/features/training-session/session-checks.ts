import type { FlightCheck } from '@skelby/core/go-no-go/flight-to-be';
import { restricts } from '@skelby/core/clearance/open-states';
import type { FindWordedDrill } from '@skelby/copy/drill-book';
import { type CheckInWords, checkWords } from '@skelby/copy/checks';
import { FITNESS, hazardChecks, placeChecks, preFlight } from '@skelby/core/go-no-go/pre-flight';
import { judgeSession } from '@skelby/core/go-no-go/session';
import type { Roster, Site, TodayList } from '@skelby/core/pages/pages';
import type { SessionFields } from '@skelby/core/schemas/session';
import { craftFacts, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import { timeOf, todayHere } from '../../shared/copy/dates';

export const USUAL_RESERVE_PERCENT = 25;

export interface SessionFlying {
  readonly content: SessionFields;
  readonly roster: Pick<Roster, 'pilots' | 'craft'>;
  readonly site: Site | null;
  readonly weaknesses: TodayList['weaknesses'];
}

const minutesOf = (clock: string): number => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3));

/** Minutes of light left now; none on another day than the session's. */
function lightLeft({ day, lightUntil }: SessionFields): number | null {
  if (lightUntil === null) return null;
  return day === todayHere() ? minutesOf(lightUntil) - minutesOf(timeOf(new Date())) : 0;
}

const ask = (id: string, words: string): CheckInWords => ({ id, go: null, words, remedy: 'Look first' });

/** What is asked before anybody flies. */
export const sessionChecks = (
  { content, roster, site, weaknesses }: SessionFlying,
  findDrill: FindWordedDrill,
): readonly CheckInWords[] =>
  judgeSession({
    content,
    site,
    lightMin: lightLeft(content),
    pilots: roster.pilots.map((pilot) => ({
      ...pilot,
      craft: roster.craft.find((each) => each.id === pilot.lastCraftId) ?? null,
      weaknesses: weaknesses.filter((line) => line.pilotId === pilot.id && restricts(line)),
    })),
  }).map((check) => checkWords(check, { drillOf: findDrill }));

/** The lists of the craft that fly, ticked before the first pack, and whether people are fit for it. */
export function preFlightChecks({ content, roster, site }: SessionFlying): readonly CheckInWords[] {
  const flying = roster.pilots.filter(({ id }) => content.packs.some(({ pilotId }) => pilotId === id));
  const craft = roster.craft.filter(({ id }) => flying.some(({ lastCraftId }) => lastCraftId === id));
  const place = site?.place ?? 'open';
  const lists = (craft.length > 0 ? craft : [{ id: 'any', name: null, ...USUAL_CRAFT }]).map((each) => ({
    ...each,
    items: preFlight({ craft: craftFacts(each), place }).map((check) => checkWords(check)),
  }));
  const inWords = (checks: readonly FlightCheck[]) => checks.map((check) => checkWords(check));
  return [
    ...inWords(hazardChecks(site?.hazard)),
    ...inWords(FITNESS),
    ...lists.flatMap(({ id, name, items }) =>
      items.map((item) => ({
        ...item,
        id: `${item.id} ${id}`,
        words: name === null || lists.length === 1 ? item.words : `${name}: ${item.words}`,
      })),
    ),
    ...inWords(placeChecks(place)),
  ];
}

const NEAR = [
  'What is close to the line, and to its end',
  'Snags: wires, twigs, poles, nets',
  'Radio shadow behind walls, trees or metal',
  'The way out, said aloud',
  'The charge at which to turn round, said aloud',
].map((words, i) => ask(`near ${i}`, words));

/** What is walked first where things are near. */
export const nearChecks = (
  { content, site }: Pick<SessionFlying, 'content' | 'site'>,
  findDrill: FindWordedDrill,
): readonly CheckInWords[] =>
  site?.place !== 'open' ||
  content.packs.some((pack) => pack.blocks.some((block) => findDrill(block.drillId).group === 'obstacles'))
    ? NEAR
    : [];
