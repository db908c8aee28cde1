import type { MethodAnswer, MethodQuestion } from '@skelby/core/methods/methods';

export interface MethodWords {
  readonly name: string;
  /** What follows from it in plans, sessions and the course. */
  readonly follows: string;
  readonly answers: Readonly<Record<string, string>>;
}

export const METHOD_WORDS: {
  readonly [Q in MethodQuestion]: MethodWords & {
    readonly answers: Readonly<Record<MethodAnswer<Q>, string>>;
  };
} = {
  assistance: {
    name: 'How one begins',
    follows:
      'Drills flown without help stand later in a plan, or sooner. New pilots begin so; each has their own.',
    answers: {
      'assist-down': 'With every help, taken away piece by piece',
      'manual-first': 'Without help from the first day',
    },
  },
  holdOff: {
    name: 'When hold is switched off',
    follows:
      'Early: the hold-off lesson follows tail-in, plans for the hands and for wind take its hover in.',
    answers: { late: 'Once all sides are flown with hold', early: 'As soon as a hover stands' },
  },
  noseIn: {
    name: 'When the nose comes round',
    follows: 'Early: nose-in before circles, practised three reps at a time.',
    answers: { late: 'Once circles are flown', early: 'Before circles, in small doses' },
  },
  gapSpeed: {
    name: 'How a gap is flown',
    follows: 'Slow takes the slalom into plans for gaps, faster the figure of eight; the gaps stay the same.',
    answers: {
      'by-mode': 'Slow with hold, faster without',
      slow: 'Always slow: level, then commit',
      faster: 'Always a little faster than is comfortable',
    },
  },
  sensors: {
    name: 'Obstacle sensors',
    follows:
      'Used: plans for obstacles take in finding out what they see. Either way a rep that a sensor stopped is missed.',
    answers: { 'as-if-off': 'Flown as if they were off', used: 'Used, once it is known what they see' },
  },
  mixing: {
    name: 'When drills are mixed',
    follows: 'Early: sessions mix a drill with others from three in ten met, not from seven.',
    answers: { late: 'Once most of it comes off', early: 'From early on' },
  },
};
