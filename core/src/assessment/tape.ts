import type { ModeNow, StickPosition } from '../simulator/control/control';
import { PHYSICS_STEP_S } from '../simulator/simulated-flight';
import type { Pressed, RepFlight } from './rep';

type Done =
  | {
      readonly does: 'steps';
      readonly count: number;
      readonly sticks: StickPosition;
      readonly mode: ModeNow;
      readonly pressed: Pressed;
    }
  | { readonly does: 'hold' | 'link'; readonly lost: boolean }
  | { readonly does: 'go-home' };

function carryOut(rep: RepFlight, done: Exclude<Done, { does: 'steps' }>): void {
  if (done.does === 'hold') rep.dropHold(done.lost);
  else if (done.does === 'link') rep.loseLink(done.lost);
  else rep.goHome();
}

/**
 * Everything that hands did in a flight, so that one that is set up alike can be brought to any moment of it and flown
 * on from there.
 */
export class FlightTape {
  private readonly done: Done[] = [];

  /** Flies on for so many steps of the physics. */
  fly(
    rep: RepFlight,
    count: number,
    by: Pick<Extract<Done, { does: 'steps' }>, 'sticks' | 'mode' | 'pressed'>,
  ) {
    if (count <= 0) return;
    this.done.push({ does: 'steps', count, ...by });
    for (let i = 0; i < count; i += 1) rep.step(by.sticks, by.mode, by.pressed);
  }

  dropHold(rep: RepFlight, lost: boolean): void {
    this.act(rep, { does: 'hold', lost });
  }
  loseLink(rep: RepFlight, lost: boolean): void {
    this.act(rep, { does: 'link', lost });
  }
  goHome(rep: RepFlight): void {
    this.act(rep, { does: 'go-home' });
  }
  private act(rep: RepFlight, done: Exclude<Done, { does: 'steps' }>): void {
    this.done.push(done);
    carryOut(rep, done);
  }

  /**
   * Brings a flight that was set up alike, with the same seed, to a moment of this one, or to its end where that comes
   * first.
   * @param rep at its start @param untilS s @returns what its hands did, to be gone on with
   */
  upTo(rep: RepFlight, untilS: number): FlightTape {
    const again = new FlightTape();
    for (const done of this.done) {
      if (rep.isOver || rep.flight.timeS >= untilS) break;
      if (done.does === 'steps') {
        const left = Math.round((untilS - rep.flight.timeS) / PHYSICS_STEP_S);
        again.fly(rep, Math.min(done.count, left), done);
      } else again.act(rep, done);
    }
    return again;
  }
}
