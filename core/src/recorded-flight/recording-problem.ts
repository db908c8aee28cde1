import type { Said } from '../vocabulary/said';

/** Why a file is not read, and what to do about it. */
export class RecordingProblem extends Error {
  constructor(readonly said: Said) {
    super(said.say);
  }
}
