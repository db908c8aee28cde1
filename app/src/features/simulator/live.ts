import { Listeners } from '../../shared/storage/listeners';
import type { Shown } from './practice-messages';

const READ_EVERY_MS = 200;

interface Now {
  readonly shown: Shown | null;
  /** Where it has been, a few places a second: x, y in m. */
  readonly path: readonly (readonly [number, number])[];
}

/** Figures for readout and map: a few times a second, without redrawing the screen around them. */
export class Live {
  private readonly listeners = new Listeners();
  private last: Now = { shown: null, path: [] };
  private readAt = -Infinity;

  readonly subscribe = this.listeners.subscribe;
  readonly now = (): Now => this.last;

  /** @param at ms on the page's clock */
  show(shown: Shown, at: number): void {
    const isNew = shown.timeS === 0;
    if (!isNew && !shown.ended && at - this.readAt <= READ_EVERY_MS) return;
    this.readAt = at;
    const [x, y] = shown.position;
    this.last = { shown, path: [...(isNew ? [] : this.last.path), [x, y]] };
    this.listeners.tell();
  }
}

/** What the buttons and prompts depend on. */
export type PracticeStanding = Pick<Shown, 'part' | 'holdLost' | 'linkLost' | 'returning'>;

/** @returns `last` itself while nothing of it has changed */
export function standingIn(
  { part, holdLost, linkLost, returning }: Shown,
  last: PracticeStanding | null,
): PracticeStanding {
  const isSame =
    last !== null &&
    last.holdLost === holdLost &&
    last.linkLost === linkLost &&
    last.returning === returning &&
    last.part.at === part.at &&
    last.part.says === part.says &&
    last.part.hands === part.hands &&
    last.part.blind === part.blind;
  return isSame ? last : { part, holdLost, linkLost, returning };
}
