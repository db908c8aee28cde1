import type { Answers } from '@skelby/core/evidence/question';
import type { Experience } from '@skelby/core/ranking/experience';
import type { Steering } from '@skelby/core/ranking/mentions';
import { type Model, modelWith } from '@skelby/core/ranking/model';
import { rank, type Ranking } from '@skelby/core/ranking/rank';
import type { CraftFacts } from '@skelby/core/vocabulary/craft-facts';

export interface ToWeigh {
  readonly known: Answers;
  readonly craft: CraftFacts;
  /** The school's own lessons. */
  readonly lessons: Experience | null;
  readonly mentioned: readonly Steering[];
}

export interface Weighed {
  readonly ranking: Ranking;
  /** What it took, reasons included. */
  readonly ms: number;
}

let last: { readonly lessons: string; readonly model: Model } | null = null;

/** The weights with these lessons; they change a few times a day, and are worked out when they do. */
function modelOf(lessons: Experience | null): Model {
  const told = JSON.stringify(lessons);
  if (last?.lessons !== told) last = { lessons: told, model: modelWith(lessons ?? undefined) };
  return last.model;
}

/** Everything that was told, weighed; as plain data, that can be posted from a worker. */
export function weighed({ known, craft, lessons, mentioned }: ToWeigh): Weighed {
  const model = modelOf(lessons);
  const started = performance.now();
  const { causes, ...others } = rank(known, craft, model, mentioned);
  const ranking = {
    ...others,
    causes: causes.map(({ id, probability, chain, reasons }) => ({ id, probability, chain, reasons })),
  };
  return { ranking, ms: performance.now() - started };
}
