/** Words that mean something of their own here, as a trainer would say it. */
export const GLOSSARY = {
  weakness: {
    word: 'Weakness',
    means:
      'One cause of one pilot that was confirmed. It stays open, with its restriction, until it is cleared.',
  },
  occurrence: { word: 'Entry', means: 'One crash or near-miss as it was logged.' },
  nearMiss: { word: 'Near-miss', means: 'Control or separation was lost, and luck or skill saved it.' },
  cause: { word: 'Cause', means: 'Why it happened, not what was hit: “hit a tree” is where it ended.' },
  chain: {
    word: 'Chain',
    means: 'What led to what: a belief that was wrong, the drift it caused, the tree at the end.',
  },
  restriction: {
    word: 'Until cleared',
    means:
      'What the pilot does not fly while the weakness is open. It never forbids the drills that lift it.',
  },
  test: {
    word: 'Test',
    means:
      'An attempt that the pilot was told of beforehand. Only tests clear, since nobody can pick the good ones afterwards.',
  },
  practice: { word: 'Practice', means: 'Every other attempt. It is for learning and clears nothing.' },
  check: {
    word: 'Check',
    means: 'A few attempts after days without practice: is it still there? Practice before it moves it on.',
  },
  evidence: {
    word: 'Evidence',
    means:
      'How much the tests speak for a pilot who is ready. It grows with each one met and falls with each one missed; a pilot who is not ready gets to the pass line once in ten at most.',
  },
  chart: { word: 'Chart', means: 'The tests of one drill, or of one side of it, with their pass line.' },
  steps: {
    word: 'Steps to clearance',
    means: 'Five: test, sides and winds, days, check, signature. They fill from the bottom up.',
  },
  coverage: {
    word: 'Sides and winds',
    means: 'Tests have to be met on every side and in every wind that the pilot flies in, on the craft.',
  },
  days: { word: 'Days', means: 'Each tested drill is met on more than one day: one good day proves little.' },
  watch: {
    word: 'On watch',
    means: 'Cleared and signed. Checks farther and farther apart see whether it lasts.',
  },
  tested: { word: 'Tested drill', means: 'A drill of the plan whose tests clear the weakness.' },
  preparing: {
    word: 'Preparing drill',
    means: 'A drill that comes before a tested one and is never tested.',
  },
  announce: {
    word: 'Announce',
    means: 'Say to the pilot, and here, how many tests come now. All of them count.',
  },
  level: {
    word: 'Easier, harder',
    means: 'Practice may ask less or more than the standard. Tests and checks are flown at the standard.',
  },
  standard: { word: 'Standard', means: 'What one attempt has to be to count as met, judged by eye.' },
  pack: { word: 'Pack', means: 'What is flown on one battery.' },
  reserve: { word: 'Reserve', means: 'The charge at which the feet are on the ground again.' },
  stickPicture: {
    word: 'Stick picture',
    means: 'Two squares for the two sticks: an arrow shows what the drill moves, in the layout of the pilot.',
  },
  layout: {
    word: 'Stick layout',
    means: '1 to 4: which stick does what. Layout 2 has throttle and yaw on the left.',
  },
  ownGuess: {
    word: 'Own guess',
    means: 'What you think before the answers are weighed. It keeps the ranking honest, and teaches it.',
  },
  ranking: {
    word: 'Ranking',
    means:
      'The causes in the order in which the answers speak for them. “Likely” is said from eight in ten on; below that, ask on.',
  },
  severity: {
    word: 'Severity',
    means: 'What it came to, and what it could come to next time, and how likely.',
  },
  figures: {
    word: 'Figures',
    means: 'Worked out from speed, wind, height and craft: how far it takes to stop, and others.',
  },
  flightCard: {
    word: 'Flight card',
    means: 'One flight looked at before it is flown: what speaks against it, and the figures to take along.',
  },
  goNoGo: {
    word: 'Go or no-go',
    means:
      'The list before a session: each thing looked at and ticked, or the reason why it goes all the same.',
  },
  positionHold: {
    word: 'Position hold',
    means:
      'The craft keeps its place by itself. With hold off it drifts with the wind and the hands have to answer.',
  },
  windBand: {
    word: 'Wind',
    means: 'Calm, light or breezy: each stands with its speeds where wind is asked.',
  },
  mode: {
    word: 'Mode',
    means: 'How much the craft does by itself: from holding its place to holding nothing.',
  },
  spans: {
    word: 'Spans',
    means:
      'Widths of the craft, rotor tip to rotor tip: an opening of 3 spans is three times as wide as the craft.',
  },
  missReason: {
    word: 'Why missed',
    means: 'One tap, for the next lesson. It changes nothing in what counts.',
  },
  waiting: {
    word: 'Waiting for signal',
    means: 'Kept on this phone and sent by itself once there is signal. Each entry counts once.',
  },
  privateLink: {
    word: 'Private link',
    means:
      'An address that shows one pilot their own drills, without an account. It can be ended at any time.',
  },
  handOver: {
    word: 'Hand over',
    means: 'Another trainer takes a pilot on; the reason stands in the history.',
  },
} as const;
export type GlossaryId = keyof typeof GLOSSARY;
