import type { CauseId } from '@skelby/core/causes/causes';
import type { NearId, PlantedId, SpotId, WindSide } from '@skelby/core/drill-cases/on-the-ground';
import type { DrillId } from '@skelby/core/drills/drills';
import type { QuestionId } from '@skelby/core/evidence/questions';
import type { Failsafe, FailsafeReason } from '@skelby/core/reconstruct/return-height';
import type { Need } from '@skelby/core/restrictions/limits';
import type { FieldLabel } from '@skelby/core/schemas/labels';
import type { Place } from '@skelby/core/vocabulary/flying';
import { percent } from '@skelby/core/vocabulary/percent';
import type { Said, SaidFigure } from '@skelby/core/vocabulary/said';
import type { Level } from '@skelby/core/vocabulary/training';
import type { DrillWords } from './drill-words';
import { drillWords } from './drills';
import { SPOT_WORDS, LOST_LINK_PLACES, NEAR_WORDS, PLANTED_WORDS } from './en/cases';
import { CAUSE_WORDS } from './en/causes';
import { LABEL_WORDS } from './en/labels';
import { LEVEL_BESIDE_STANDARD } from './en/levels';
import { NEED_WORDS } from './en/needs';
import { FACING, FAILSAFE_REASONS, FAILSAFE_WORDS, PLACE_NAMES, WIND_SIDES } from './en/places';
import { SENTENCES } from './en/sentences/sentences';
import { SIGN_WORDS } from './en/signs';
import { SUM_WORDS } from './en/sums';
import { BODY, KIND_NAMES, BETWEEN } from './en/grammar';
import { questionWords, valueWords } from './questions';

/** Where the words of a school's own drills are to be found; absent: the house's. */
export interface Names {
  readonly drillOf?: (id: string) => Pick<DrillWords, 'name' | 'dose'>;
}

type Figures = NonNullable<Said['with']>;
/** A figure in words. */
type Form = (value: string, figures: Figures, names: Names) => string;

const HUNDREDTHS = 100;
/** Left open for the school's units: see `inUnits`. */
const quantity =
  (unit: 'm' | 'v'): Form =>
  (value) =>
    `{${unit}:${Math.round(Number(value) * HUNDREDTHS) / HUNDREDTHS}}`;

const drillIn = (id: string, { drillOf }: Names) => (drillOf ?? ((each) => drillWords(each as DrillId)))(id);

const input: Form = (path) => {
  const [sum = '', id = ''] = path.split('.');
  return SUM_WORDS[sum]?.inputs[id] ?? id;
};

const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** How a figure can be put into words. */
const FORMS: Readonly<Record<string, Form>> = {
  m: quantity('m'),
  v: quantity('v'),
  percent: (share) => percent(Number(share)),
  lower: (text) => text.toLowerCase(),
  'lower-first': lowerFirst,
  label: (id) => (id.startsWith('=') ? id.slice(1) : LABEL_WORDS[id as Exclude<FieldLabel, `=${string}`>]),
  path: (path) => path || BODY,
  kind: (kind) => KIND_NAMES[kind] ?? kind,
  drill: (id, _, names) => drillIn(id, names).name,
  dose: (id, _, names) => drillIn(id, names).dose,
  level: (level) => LEVEL_BESIDE_STANDARD[Number(level) as Level],
  cause: (id) => CAUSE_WORDS[id as CauseId].name,
  restriction: (id) => CAUSE_WORDS[id as CauseId].restriction,
  short: (id) => questionWords(id as QuestionId).short,
  value: (value, { question }) => valueWords(String(question) as QuestionId, value),
  met: (value) => valueWords('obstacle_kind', value),
  'place-label': (value) => valueWords('place', value),
  holds: (id) => SIGN_WORDS[id]!.holds,
  fails: (id) => SIGN_WORDS[id]!.fails,
  place: (place) => PLACE_NAMES[place as Place],
  need: (need) => NEED_WORDS[need as Need],
  failsafe: (action) => FAILSAFE_WORDS[action as Failsafe],
  'failsafe-why': (why) => FAILSAFE_REASONS[why as FailsafeReason],
  input,
  'planted-says': (id) => PLANTED_WORDS[id as PlantedId].says,
  planted: (id) => PLANTED_WORDS[id as PlantedId].right,
  'wind-side': (side) => WIND_SIDES[side as WindSide],
  facing: (side) => FACING[side as WindSide],
  'spot-says': (id) => SPOT_WORDS[id as SpotId].says,
  spot: (id) => SPOT_WORDS[id as SpotId].right,
  'near-says': (id) => NEAR_WORDS[id as NearId].says,
  near: (id) => NEAR_WORDS[id as NearId].right,
  'lost-link-says': (id) => LOST_LINK_PLACES[id]!.says,
  'lost-link-below': (id) => LOST_LINK_PLACES[id]!.below,
};

/** What a sentence leaves open: a figure by its name, and the forms it is put in. */
const OPEN = /\{([a-zA-Z]\w*(?:\|[\w-]+)*)\}/g;

const oneOf = (figure: SaidFigure, forms: readonly Form[], figures: Figures, names: Names): string => {
  if (figure === null) return '';
  if (typeof figure === 'object' && 'say' in figure) return said(figure, names);
  return forms.reduce((text, form) => form(text, figures, names), String(figure));
};

/**
 * A sentence in words. Lengths and speeds in it are left open, `{m:12.3}` and `{v:4.5}`, to be said in the school's
 * units.
 * @throws RangeError for a sentence or a form that there is not, or a figure that was not given
 */
export function said({ say, with: figures = {} }: Said, names: Names = {}): string {
  const sentence = SENTENCES[say];
  if (sentence === undefined) throw new RangeError(`There is no sentence "${say}".`);
  return sentence.replaceAll(OPEN, (_, part: string) => {
    const [name = '', ...wanted] = part.split('|');
    const figure = figures[name];
    if (figure === undefined) throw new RangeError(`"${say}" is said without ${name}.`);
    const between = wanted.find((each) => BETWEEN[each] !== undefined);
    const forms = wanted
      .filter((each) => each !== between)
      .map((each) => {
        const form = FORMS[each];
        if (!form) throw new RangeError(`"${say}" asks for a form that there is not: ${each}.`);
        return form;
      });
    return Array.isArray(figure)
      ? (figure as readonly SaidFigure[])
          .map((each) => oneOf(each, forms, figures, names))
          .join(BETWEEN[between ?? 'comma'])
      : oneOf(figure as SaidFigure, forms, figures, names);
  });
}

/** What is wrong with a field in words: as a shape carries it, or as it was written down already. */
export const messageWords = (message: unknown, names: Names = {}): string =>
  typeof message === 'object' && message !== null && 'say' in message
    ? said(message as Said, names)
    : String(message);
