import type { Findings } from '@skelby/core/debrief/findings';
import { answersOf, readable } from '@skelby/core/evidence/evidence';
import {
  type SaidChance,
  type SaidAgainstDecided,
  saidAgainstDecided,
} from '@skelby/core/ranking/calibration';
import { rank } from '@skelby/core/ranking/rank';
import { craftFacts, type CraftRecord, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import type { SchoolTx } from '../db/in-school';

/** Of so many of the latest closed debriefs; each is ranked anew. */
const LATEST = 300;

/**
 * How sure the ranking is of what it names first, against what the trainers decided: by the starting weights, which no
 * debrief of the school has taught.
 */
export async function calibrationPage({ tx }: SchoolTx): Promise<readonly SaidAgainstDecided[]> {
  const { rows: debriefs } = (await tx.raw(
    `select d.findings, o.craft_id
       from occurrences o
       join lateral (select state, findings from debriefs
         where school_id = o.school_id and occurrence_id = o.id order by number desc limit 1) d on d.state = 'closed'
      where o.withdrawn_at is null
      order by o.happened_at desc limit ?`,
    [LATEST],
  )) as { rows: { findings: Findings; craftId: string | null }[] };
  const craft = new Map(
    ((await tx('craft')) as (CraftRecord & { id: string })[]).map((row) => [row.id, row]),
  );
  const said = debriefs.flatMap(({ findings, craftId }): readonly SaidChance[] => {
    const known = answersOf(readable(findings.evidence));
    if (findings.primary === null || Object.keys(known.choices).length < 3) return [];
    const [first] = rank(known, craftFacts(craft.get(craftId ?? '') ?? USUAL_CRAFT)).causes;
    return [{ probability: first!.probability, decidedSo: first!.id === findings.primary }];
  });
  return saidAgainstDecided(said);
}
