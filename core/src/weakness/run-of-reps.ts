import type { BodyOf } from '../commands/command';
import type { recordRep } from '../commands/handles';
import type { RecordedRep, WeaknessPage } from '../pages/pages';

/** A phone may hold thousands of reps: a run of them is added at once, not each to a copy of all before it. */
export class RunOfReps {
  private readonly seen: Set<string>;
  private run: RecordedRep[] = [];

  constructor(there: readonly RecordedRep[]) {
    this.seen = new Set(there.map((rep) => rep.id));
  }

  add(id: string, body: BodyOf<typeof recordRep>): void {
    if (this.seen.has(id)) return;
    this.seen.add(id);
    this.run.push({ ...body, id, takenBack: false } as RecordedRep);
  }

  /** The page with the run; the next one begins empty. */
  onto(page: WeaknessPage): WeaknessPage {
    if (this.run.length === 0) return page;
    const reps = [...page.reps, ...this.run];
    this.run = [];
    return { ...page, reps };
  }
}
