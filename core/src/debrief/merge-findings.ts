import type { Evidence } from '../evidence/evidence';
import type { Findings } from './findings';

const isSame = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

interface ThreeOf<T> {
  /** What both went on from. */
  readonly base: T;
  readonly mine: T;
  readonly theirs: T;
}

/** Names whose value both changed, each otherwise; and all values, with `mine` where that is so. */
function mergeFields<T extends object>({ base, mine, theirs }: ThreeOf<T>): { merged: T; both: string[] } {
  const names = [...new Set([base, mine, theirs].flatMap((each) => Object.keys(each)))] as (keyof T &
    string)[];
  const merged: Partial<T> = {};
  const both: string[] = [];
  for (const name of names) {
    const takesTheirs = isSame(mine[name], base[name]);
    const from = takesTheirs ? theirs : mine;
    if (name in from) merged[name] = from[name];
    if (!takesTheirs && !isSame(theirs[name], base[name]) && !isSame(mine[name], theirs[name]))
      both.push(name);
  }
  return { merged: merged as T, both };
}

export interface MergedFindings {
  /** With one's own where both changed the same. */
  readonly findings: Findings;
  /** Answers and fields that both changed, each otherwise: questions by `evidence.` and their id. */
  readonly both: readonly string[];
}

/**
 * Joins two debriefs of one occurrence that went on from the same version: what only one of them changed is taken, answer
 * by answer (a three-way merge, as version control does it).
 */
export function mergeFindings({ base, mine, theirs }: ThreeOf<Findings>): MergedFindings {
  const evidence = mergeFields<Evidence>({
    base: base.evidence,
    mine: mine.evidence,
    theirs: theirs.evidence,
  });
  const rest = mergeFields<Partial<Findings>>({
    base: { ...base, evidence: undefined },
    mine: { ...mine, evidence: undefined },
    theirs: { ...theirs, evidence: undefined },
  } as unknown as ThreeOf<Partial<Findings>>);
  return {
    findings: { ...(rest.merged as Findings), evidence: evidence.merged },
    both: [...evidence.both.map((name) => `evidence.${name}`), ...rest.both],
  };
}
