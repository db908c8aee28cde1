import { exerciseOf } from '@skelby/core/assessment/exercises';
import type { Side } from '@skelby/core/drills/drill';
import type { DrillId } from '@skelby/core/drills/drills';
import { type FieldReps, judgeReps } from '@skelby/core/recorded-flight/reps/judge-reps';
import { type GatePosts, gatesBetween } from '@skelby/core/recorded-flight/reps/field-gates';
import type { Placement } from '@skelby/core/recorded-flight/reps/placement';
import { craftModel } from '@skelby/core/simulator/craft-model';
import { said } from '@skelby/copy/say';
import type { Evidence } from '@skelby/core/evidence/evidence';
import { evidenceAt } from '@skelby/core/recorded-flight/evidence-at';
import { findEvents } from '@skelby/core/recorded-flight/events/find-events';
import {
  type EventLimits,
  type FlightEvent,
  USUAL_LIMITS,
} from '@skelby/core/recorded-flight/events/flight-event';
import { type KnownPlace, nearestSite } from '@skelby/core/recorded-flight/nearest-site';
import { type FlightView, viewOf } from '@skelby/core/recorded-flight/flight-view';
import type { FileKind } from '@skelby/core/recorded-flight/formats/recognise';
import { guessMapping } from '@skelby/core/recorded-flight/mapping/guess';
import type { Mapping } from '@skelby/core/recorded-flight/mapping/mapping';
import { fitsRecipe, mappingBy, type Recipe } from '@skelby/core/recorded-flight/mapping/recipe';
import { recordingOf } from '@skelby/core/recorded-flight/recording';
import { RecordingProblem } from '@skelby/core/recorded-flight/recording-problem';
import { type ShownAgain, shownAgain } from '@skelby/core/recorded-flight/shown-again';
import { type Stretch, stretchOf } from '@skelby/core/recorded-flight/stretch';
import { type SmoothFlight, smoothFlight } from '@skelby/core/recorded-flight/smoothing/smooth-flight';
import { type OutKind, writtenOut } from '@skelby/core/recorded-flight/out/write-out';
import type { Column, Table } from '@skelby/core/recorded-flight/table/table';
import { type CraftFacts, craftFacts, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import { flownIdOf } from './flown-id';
import { type Packed, packed } from './pack';
import { readRecorded } from './read-recorded';

export type ToViewer =
  | {
      readonly do: 'read';
      readonly file: File;
      readonly recipes: readonly Recipe[];
      /** Known places: what is tallest where it was flown. */
      readonly sites?: readonly KnownPlace[];
    }
  /** A line that nobody flies over, or none. */
  | { readonly do: 'line'; readonly line: EventLimits['line'] }
  | { readonly do: 'map'; readonly mapping: Mapping }
  | { readonly do: 'evidence'; readonly event: number }
  /** A part of it, nearer. */
  | { readonly do: 'part'; readonly fromS: number; readonly toS: number }
  /** The reps of a drill in a part of it. */
  | {
      readonly do: 'judge';
      readonly fromS: number;
      readonly toS: number;
      readonly drillId: DrillId;
      readonly side: Side | null;
      readonly placement: Placement | null;
      readonly posts: GatePosts | null;
      readonly craft: CraftFacts;
    }
  /** A part of it, to stand before. */
  | { readonly do: 'show'; readonly fromS: number; readonly toS: number }
  | { readonly do: 'write'; readonly as: OutKind }
  /** The file itself, for the school. */
  | { readonly do: 'pack'; readonly file?: File | undefined };

/** A column as the page shows it. */
export interface ShownColumn extends Pick<Column, 'name' | 'unit' | 'kind' | 'words'> {
  /** Some of what stands in it. */
  readonly examples: readonly (number | string)[];
}

export type FromViewer =
  | {
      readonly is: 'understood';
      readonly kind: FileKind;
      readonly columns: readonly ShownColumn[];
      readonly mapping: Mapping;
      /** The recipe it was read by; null: guessed, or put right by hand. */
      readonly recipe: string | null;
      readonly view: FlightView | null;
      /** Its id among what was flown. */
      readonly flownId: string | null;
      /** What was appended behind its end is not read. */
      readonly leftOut: boolean;
      /** Why there is no view yet; null: there is one. */
      readonly problem: string | null;
    }
  | { readonly is: 'evidence'; readonly event: number; readonly evidence: Evidence }
  | { readonly is: 'events'; readonly events: readonly FlightEvent[] }
  | { readonly is: 'part'; readonly part: Stretch }
  | { readonly is: 'shown'; readonly shown: ShownAgain | null }
  | { readonly is: 'judged'; readonly judged: FieldReps | null }
  | { readonly is: 'written'; readonly as: OutKind; readonly text: string | null }
  | { readonly is: 'packed'; readonly packed: Packed | null }
  | { readonly is: 'bad'; readonly message: string };

const EXAMPLES = 3;

const shown = ({ name, unit, kind, words, values }: Column): ShownColumn => {
  const some = [...values.subarray(0, 2_000)].filter(Number.isFinite);
  const spread = Array.from({ length: EXAMPLES }, (_, i) => some[Math.floor((i * some.length) / EXAMPLES)]);
  const examples = [...new Set(spread)].flatMap((value) =>
    value === undefined ? [] : [kind === 'words' ? (words[value] ?? '') : value],
  );
  return { name, unit, kind, words, examples };
};

/** What is being looked at. */
let now: {
  readonly file: File;
  readonly kind: FileKind;
  readonly table: Table;
  mapping: Mapping;
  recipe: string | null;
  readonly leftOut: boolean;
  flight: SmoothFlight | null;
  view: FlightView | null;
  readonly sites: readonly KnownPlace[];
  limits: EventLimits;
} | null = null;

const problemOf = (error: unknown): string => {
  if (error instanceof RecordingProblem) return said(error.said);
  return `It could not be read: ${error instanceof Error ? error.message : String(error)}`;
};

function look(): FromViewer {
  const { kind, table, mapping, recipe, leftOut } = now!;
  let problem: string | null = null;
  try {
    now!.flight = smoothFlight(recordingOf(table, mapping));
    const site = nearestSite(now!.flight.recording.origin, now!.sites)?.id;
    const tallestM = now!.sites.find(({ id }) => id === site)?.tallestM ?? null;
    now!.limits = { ...now!.limits, tallestM };
    now!.view = viewOf(now!.flight, now!.limits);
  } catch (error) {
    now!.flight = now!.view = null;
    problem = problemOf(error);
  }
  return {
    is: 'understood',
    ...{ kind, mapping, recipe, leftOut, problem },
    columns: table.columns.map(shown),
    view: now!.view,
    // Worked out here: what it takes is no part of the page.
    flownId: now!.view && flownIdOf(now!.view.fingerprint),
  };
}

async function read({ file, recipes, sites = [] }: ToViewer & { readonly do: 'read' }): Promise<FromViewer> {
  const { kind, table, leftOut } = await readRecorded(file);
  const recipe = recipes.find((each) => fitsRecipe(table, each));
  const mapping = recipe ? mappingBy(recipe, table) : guessMapping(table);
  now = {
    ...{ file, kind, table, mapping, leftOut },
    ...{ recipe: recipe?.name ?? null, flight: null, view: null },
    ...{ sites, limits: USUAL_LIMITS },
  };
  return look();
}

function drawLine(line: EventLimits['line']): FromViewer {
  if (!now?.flight) return { is: 'events', events: [] };
  now.limits = { ...now.limits, line };
  now.view = { ...now.view!, events: findEvents(now.flight, now.limits) };
  return { is: 'events', events: now.view.events };
}

async function answer(asked: ToViewer): Promise<FromViewer> {
  switch (asked.do) {
    case 'read':
      return read(asked);
    case 'line':
      return drawLine(asked.line);
    case 'map':
      now!.mapping = asked.mapping;
      now!.recipe = null;
      return look();
    case 'write':
      return { is: 'written', as: asked.as, text: writtenOut(now!.flight!, now!.view!.events, asked.as) };
    case 'pack':
      // Gone from the phone meanwhile, say: it stays here, and what is made of it goes on without.
      return { is: 'packed', packed: await packed(asked.file ?? now!.file).catch(() => null) };
    case 'part':
      return { is: 'part', part: stretchOf(now!.flight!, asked.fromS, asked.toS) };
    case 'judge': {
      const course = exerciseOf(asked.drillId, asked.side)!;
      const craft = craftModel(asked.craft);
      const { placement, posts, drillId } = asked;
      const gates = posts && gatesBetween(drillId, posts);
      return { is: 'judged', judged: judgeReps(now!.flight!, asked, { course, craft, placement, gates }) };
    }
    case 'show':
      return { is: 'shown', shown: shownAgain(now!.flight!, asked.fromS, asked.toS) };
    case 'evidence': {
      const event = now!.view!.events[asked.event]!;
      const evidence = evidenceAt(now!.flight!, event, craftFacts(USUAL_CRAFT));
      return { is: 'evidence', event: asked.event, evidence };
    }
  }
}

/** One after the other: what is asked while a file is read waits for it. */
let turn: Promise<void> = Promise.resolve();

self.onmessage = ({ data }: MessageEvent<ToViewer>) => {
  turn = turn
    .then(() => answer(data))
    .then(
      (message) => self.postMessage(message),
      (error: unknown) => self.postMessage({ is: 'bad', message: problemOf(error) } satisfies FromViewer),
    );
};
