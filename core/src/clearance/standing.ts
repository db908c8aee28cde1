import type { Move } from './facts';

export interface WeaknessStanding {
  readonly state: 'active' | 'watch' | 'closed' | 'withdrawn';
  /** Instant from which reps count; null when withdrawn. */
  readonly roundFrom: string | null;
  readonly signedEarly: boolean;
  /**
   * Instants of the signatures since then, oldest first: a second one follows when the relapse chart has
   * called the pilot back.
   */
  readonly signatures: readonly string[];
}

/** Moves that have not been taken back, oldest first. */
export function liveMoves(moves: readonly Move[]): readonly Move[] {
  const undone = new Set(moves.filter((move) => move.kind === 'undone').map((move) => move.undoes));
  return moves
    .filter((move) => move.kind !== 'undone' && !undone.has(move.id))
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
}

/** Where the trainer's own moves have brought the weakness, before any rep is looked at. */
export function standingOf(moves: readonly Move[]): WeaknessStanding {
  let standing: WeaknessStanding = {
    state: 'withdrawn',
    roundFrom: null,
    signedEarly: false,
    signatures: [],
  };
  for (const move of liveMoves(moves)) {
    switch (move.kind) {
      case 'opened':
      case 'reopened':
        standing = { state: 'active', roundFrom: move.at, signedEarly: false, signatures: [] };
        break;
      case 'occurrence-added':
        if (standing.state === 'withdrawn')
          standing = { state: 'active', roundFrom: move.at, signedEarly: false, signatures: [] };
        break;
      case 'signed':
      case 'signed-early':
        standing = {
          ...standing,
          state: 'watch',
          signedEarly: move.kind === 'signed-early',
          signatures: [...standing.signatures, move.at],
        };
        break;
      case 'closed':
        standing = { ...standing, state: 'closed' };
        break;
      case 'undone':
        break;
    }
  }
  return standing;
}
