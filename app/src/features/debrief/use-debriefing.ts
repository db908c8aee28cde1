import type { CauseId } from '@skelby/core/causes/causes';
import { capturedEvidence, type Findings, missingToClose } from '@skelby/core/debrief/findings';
import { answersOf } from '@skelby/core/evidence/evidence';
import type { Answers } from '@skelby/core/evidence/question';
import type { QuestionId } from '@skelby/core/evidence/questions';
import type { DebriefPage, OccurrenceOfPilot, Roster } from '@skelby/core/pages/pages';
import type { Ranking } from '@skelby/core/ranking/rank';
import { sumsFor } from '@skelby/core/sums/sums';
import { type CraftFacts, craftFacts, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { useLessons, useSaveDebrief } from '../../offline/overlay/debrief-queries';
import { useWeaknessKey } from '../../offline/overlay/occurrence-queries';
import { useKeptState } from '../../shared/storage/use-kept-state';
import { ApiProblem } from '../../shared/api/client';
import { nextOf } from './Ask';
import { chainOf } from './Decide';
import { type DebriefDraft, useDebriefDraft } from './draft';
import { useRanking } from './use-ranking';

type DebriefStep = 'ask' | 'sums' | 'decide';

export interface Debriefing {
  readonly occurrence: OccurrenceOfPilot;
  readonly page: DebriefPage;
  readonly draft: DebriefDraft;
  readonly change: (part: Partial<DebriefDraft>) => void;
  readonly find: (part: Partial<Findings>) => void;
  /** It was closed before, and nobody has said yet why it is opened again. */
  readonly isLocked: boolean;
  readonly craft: CraftFacts;
  readonly known: Answers;
  /** null until the first is worked out. */
  readonly ranking: Ranking | null;
  readonly sums: ReturnType<typeof sumsFor>;
  readonly step: DebriefStep;
  readonly setStep: (step: DebriefStep) => void;
  /** The question that was picked out of turn. */
  readonly wanted: QuestionId | null;
  readonly want: (id: QuestionId | null) => void;
  /** Asks a question from wherever one is. */
  readonly askAgain: (id: QuestionId | null) => void;
  readonly asked: QuestionId | null;
  readonly missing: ReturnType<typeof missingToClose>;
  readonly triedToClose: boolean;
  readonly saving: {
    readonly isPending: boolean;
    readonly error: Error | null;
    /** The answers put another cause first by the latest weights: the server asks why. */
    readonly wantsReason: boolean;
    readonly close: () => void;
    readonly saveOpen: () => void;
  };
  /** Somebody else saved a newer version. */
  readonly overtaken: boolean;
  /** What both changed, each otherwise: questions by `evidence.` and their id; null where that is not known. */
  readonly both: readonly string[] | null;
  readonly isClash: boolean;
  readonly goOnFrom: (whose: 'theirs' | 'mine') => void;
}

const NONE = [] as const;

/** What steers the asking: what was mentioned, and what was seen in a video. */
function useSteering({ mentioned }: DebriefDraft, { seen = NONE }: OccurrenceOfPilot) {
  return useMemo(() => [...mentioned, ...seen], [mentioned, seen]);
}

/** Everything that was told, weighed. */
function useWeighed(draft: DebriefDraft, occurrence: OccurrenceOfPilot, craft: CraftFacts) {
  const { findings } = draft;
  const mentioned = useSteering(draft, occurrence);
  const known = useMemo(() => answersOf(findings.evidence), [findings.evidence]);
  const lessons = useLessons();
  const ranking = useRanking(
    useMemo(() => ({ known, craft, lessons, mentioned }), [known, craft, lessons, mentioned]),
  );
  const sums = useMemo(() => sumsFor(known), [known]);
  return { known, ranking, sums };
}

/** What logging, and a recorded flight, captured of the evidence. */
function useCaptured({ flown, windMps, siteId, pilotMode }: OccurrenceOfPilot, { sites }: Roster) {
  const place = sites.find((each) => each.id === siteId)?.place ?? null;
  return useMemo(
    // What was told while logging stands before what a flight shows.
    () => ({ ...flown?.evidence, ...capturedEvidence({ windMps, place, mode: pilotMode }) }),
    [flown, windMps, place, pilotMode],
  );
}

/** The craft that was flown; a usual one where it was not recorded. */
const useCraft = ({ craftId }: OccurrenceOfPilot, { craft }: Roster): CraftFacts =>
  useMemo(() => craftFacts(craft.find((each) => each.id === craftId) ?? USUAL_CRAFT), [craft, craftId]);

/** Saves the debrief under the weakness that its cause belongs to. */
function useSending(occurrence: OccurrenceOfPilot, draft: DebriefDraft, sent: () => void) {
  const router = useRouter();
  const save = useSaveDebrief(occurrence);
  const weaknessKey = useWeaknessKey(occurrence.pilotId);
  const send = (state: 'open' | 'closed', findings: Findings) => {
    const keyOf = (primary: CauseId | null) =>
      primary ? weaknessKey(primary, draft.keys.weaknessId) : draft.keys.weaknessId;
    const weaknessId = keyOf(findings.primary);
    const keys = { ...draft.keys, weaknessId };
    save.mutate(
      { base: draft.base, state, reason: draft.reason, findings, keys },
      {
        onSuccess: () => {
          sent();
          router.replace(state === 'closed' ? `/weakness/${weaknessId}` : `/occurrence/${occurrence.id}`);
        },
      },
    );
  };
  return { save, send };
}

/** The findings as they are closed: with a chain, and without blanks round what was written. */
const completed = (findings: Findings, known: Answers, { kind }: OccurrenceOfPilot): Findings => ({
  ...findings,
  chain: chainOf(findings, known, kind),
  overruleReason: findings.overruleReason.trim(),
  wentWell: findings.wentWell.trim(),
});

/** The cause that the answers put first, as far as they name one. */
const firstBy = (ranking: Ranking | null): CauseId | null =>
  ranking === null || ranking.stance === 'not-known' ? null : ranking.causes[0]!.id;

/** Where in a debrief one is; a reload goes on there. */
function useSteps() {
  const [step, setStep, firstStep] = useKeptState<DebriefStep>('step', 'ask');
  const [wanted, want] = useState<QuestionId | null>(null);
  return { step, setStep, firstStep, wanted, want };
}

/** A debrief: what is asked, what follows from it, and what was decided. */
export function useDebriefing(occurrence: OccurrenceOfPilot, roster: Roster, page: DebriefPage): Debriefing {
  const captured = useCaptured(occurrence, roster);
  const drafted = useDebriefDraft(occurrence, page, captured);
  const { draft, change, find, sent, rebase, saved, overtaken, both } = drafted;
  const { step, setStep, firstStep, wanted, want } = useSteps();
  const { save, send } = useSending(occurrence, draft, () => {
    firstStep();
    sent();
  });
  const [triedToClose, setTried] = useState(false);
  const craft = useCraft(occurrence, roster);
  const { findings } = draft;
  const { known, ranking, sums } = useWeighed(draft, occurrence, craft);
  const complete = completed(findings, known, occurrence);
  const missing = missingToClose(complete, firstBy(ranking));
  const problem = save.error instanceof ApiProblem ? save.error : null;
  // Refused on top of a version that has been joined meanwhile, it can be tried again.
  const isRefused = save.variables?.base === draft.base;
  return {
    occurrence,
    page,
    draft,
    change,
    find,
    isLocked: !saved && page.debrief?.state === 'closed' && draft.reason === '',
    craft,
    known,
    ranking,
    sums,
    step,
    setStep,
    wanted,
    want,
    askAgain: (id) => {
      want(id);
      if (id !== null) setStep('ask');
    },
    asked: ranking && nextOf(ranking, draft.skipped, wanted),
    missing,
    triedToClose,
    saving: {
      isPending: save.isPending,
      error: isRefused ? save.error : null,
      wantsReason: problem?.errors.some((each) => each.field === 'findings.overruleReason') ?? false,
      close: () => {
        setTried(true);
        if (missing.length === 0) send('closed', complete);
      },
      saveOpen: () => send('open', findings),
    },
    overtaken,
    both,
    isClash: overtaken || (isRefused && problem?.status === 409),
    goOnFrom: (whose) => {
      save.reset();
      rebase(whose);
    },
  };
}
