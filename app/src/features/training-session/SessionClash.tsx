import { useDrills } from '../../shared/api/use-drills';
import type { ApiProblem } from '../../shared/api/client';
import type { Roster } from '@skelby/core/pages/pages';
import { sessionQuestions } from '../../shared/forms/record-questions';
import { BothVersions } from '../../shared/forms/BothVersions';
import { Screen } from '../../shared/ui/Screen';
import type { SessionSave } from '../../offline/overlay/session-queries';

interface SessionClashProps {
  readonly wanted: SessionSave;
  readonly problem: ApiProblem;
  readonly roster: Roster;
  readonly onMine: (again: SessionSave) => void;
  readonly onTheirs: () => void;
}

/** Another trainer has changed the session meanwhile. */
export function SessionClash({ wanted, problem, roster, onMine, onTheirs }: SessionClashProps) {
  const { drillOf } = useDrills();
  const { by = null, theirs = {}, override } = problem.clash;
  return (
    <Screen title="Session" under={wanted.content.day} up="/session">
      <BothVersions
        by={by}
        mine={{ ...wanted.content }}
        theirs={theirs}
        questions={sessionQuestions(roster, drillOf)}
        onMine={() => onMine({ ...wanted, basedOn: (override?.['basedOn'] as number | undefined) ?? null })}
        onTheirs={onTheirs}
      />
    </Screen>
  );
}
