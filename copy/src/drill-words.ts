/** What is said of a drill, in the house's words or in a school's own. */
export interface DrillWords {
  readonly name: string;
  readonly trains: string;
  /** What the pilot does. */
  readonly task: string;
  /** One rep, judged by eye with marks on the ground and a phone's timer: met or missed. */
  readonly byEye: string;
  /** The same standard where a simulator or flight log measures it. */
  readonly measured: string;
  /** Usual dose; a hint, never a rule inside a rep. */
  readonly dose: string;
  readonly caution?: string;
  /** The parts that are shown one after the other. */
  readonly stageNames?: readonly string[];
}
