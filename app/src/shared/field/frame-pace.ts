/** So long pictures are watched before they tell how fast a device draws, ms. */
const WATCHED_MS = 2_000;
/** Slower than this, ms a picture, is not flown well any more. */
const SLOW_MS = 45;
/** A pause is no slow picture. */
const PAUSE_MS = 1_000;

/** Watches how fast pictures follow each other while something moves. */
export class FramePace {
  /** Pictures so far. */
  drawn = 0;
  private last: number | null = null;
  private spentMs = 0;
  private counted = 0;
  private slow = false;

  /**
   * Counts a picture.
   * @param now of the page's clock, ms
   * @returns whether the last of them came too slowly; once they did, it stays so
   */
  isSlow(now: number): boolean {
    this.drawn += 1;
    const passed = this.last === null ? PAUSE_MS : now - this.last;
    this.last = now;
    if (this.slow || passed >= PAUSE_MS) return this.slow;
    this.spentMs += passed;
    this.counted += 1;
    if (this.spentMs < WATCHED_MS) return false;
    this.slow = this.spentMs / this.counted > SLOW_MS;
    [this.spentMs, this.counted] = [0, 0];
    return this.slow;
  }
}
