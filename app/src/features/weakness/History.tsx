import { causeOf } from '@skelby/core/causes/causes';
import { liveMoves } from '@skelby/core/clearance/standing';
import { drillOf } from '@skelby/core/drills/drills';
import { View } from 'react-native';
import type { WeaknessMove, WeaknessPage } from '@skelby/core/pages/pages';
import { Row, Rows } from '../../shared/ui/Rows';
import { sayTime } from '../../shared/copy/dates';
import { KIND_WORDS } from '../../shared/copy/copy';

const MOVE_WORDS: Readonly<Record<WeaknessMove['kind'], string>> = {
  opened: 'Opened',
  'occurrence-added': 'Another occurrence',
  reopened: 'Re-opened',
  signed: 'Signed',
  'signed-early': 'Signed early',
  closed: 'Closed',
  undone: 'Undone',
};

interface Line {
  readonly id: string;
  readonly at: string;
  readonly title: string;
  readonly under: string;
}

function lineOf(move: WeaknessMove, page: WeaknessPage, live: ReadonlySet<string>): Line {
  const occurrence = page.occurrences.find((each) => each.id === move.occurrenceId);
  const undone = move.kind === 'undone' ? page.moves.find((each) => each.id === move.undoes) : undefined;
  const what = undone ? `Undone: ${MOVE_WORDS[undone.kind].toLowerCase()}` : MOVE_WORDS[move.kind];
  const facts = [
    sayTime(move.at),
    move.by,
    occurrence ? `${KIND_WORDS[occurrence.kind].toLowerCase()} ${sayTime(occurrence.happenedAt)}` : null,
    move.reason,
  ];
  return {
    id: move.id,
    at: move.at,
    title: move.kind !== 'undone' && !live.has(move.id) ? `${what} (taken back)` : what,
    under: facts.filter(Boolean).join(' · '),
  };
}

/** Everything that moved this weakness, newest first. Nothing is ever taken out of it. */
export function History({ page }: { readonly page: WeaknessPage }) {
  const live = new Set(liveMoves(page.moves).map((move) => move.id));
  const lines: Line[] = [
    ...page.moves.map((move) => lineOf(move, page, live)),
    ...page.plans.map((plan, i) => ({
      id: plan.id,
      at: plan.madeAt,
      title: i === page.plans.length - 1 ? 'Plan proposed' : 'Plan changed',
      under: [sayTime(plan.madeAt), plan.drillIds.map((id) => drillOf(id).name).join(', '), plan.reason]
        .filter(Boolean)
        .join(' · '),
    })),
  ].sort((a, b) => b.at.localeCompare(a.at));
  return (
    <View aria-label={`History of ${causeOf(page.weakness.causeId).name}`}>
      <Rows>
        {lines.map((line) => (
          <Row key={line.id} title={line.title} under={line.under} />
        ))}
      </Rows>
    </View>
  );
}
