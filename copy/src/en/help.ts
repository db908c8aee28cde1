import type { GlossaryId } from './glossary';

/** What a screen is for, in a few sentences, and the words on it that are ours. */
interface ScreenHelp {
  readonly says: readonly string[];
  readonly terms: readonly GlossaryId[];
}

/** From the first crash to the first cleared weakness. */
export const GUIDE: readonly { readonly does: string; readonly how: string; readonly href: string }[] = [
  { does: 'Add a pilot', how: 'A name is enough; the rest has its usual value.', href: '/pilots/new/edit' },
  {
    does: 'Log what happened',
    how: 'Pilot, crash or near-miss, what was behind it. Half a minute, with or without signal.',
    href: '/log/pilot',
  },
  {
    does: 'Debrief it',
    how: 'People first. Then answer what is asked until one cause stands out, and decide. Drills and restriction follow by themselves.',
    href: '/',
  },
  {
    does: 'Practise, then test',
    how: 'From the weakness, count reps. Once five in a row come off, tell the pilot that tests come, and count those.',
    href: '/',
  },
  {
    does: 'Check and sign',
    how: 'After days without practice the check shows whether it lasts. Then your signature clears it.',
    href: '/',
  },
];

/** By the beginning of their addresses, the longest that fits. */
export const SCREEN_HELP: Readonly<Record<string, ScreenHelp>> = {
  '/': {
    says: [
      'What needs you, the most pressing first: entries to debrief, weaknesses to sign, checks that are due.',
      'Log a crash or near-miss from the button below; “Plan a session” lays out a day of drills.',
    ],
    terms: ['occurrence', 'nearMiss', 'weakness', 'steps', 'check', 'waiting'],
  },
  '/flights/file': {
    says: [
      'What a recorder has written down, drawn, with what happened in it. “Log” makes an entry of that; its debrief begins with what the flight answers.',
      'A column taken for the wrong thing is put right by picking, and kept for the next file of this recorder.',
    ],
    terms: ['occurrence', 'nearMiss'],
  },
  '/flights/day': {
    says: [
      'Many files at once. Tick those that go together, say who flew them, with what and where, and add them; then the rest.',
      'A flight that is there already, in whichever file, is not added twice.',
    ],
    terms: ['pack'],
  },
  '/log': {
    says: [
      'People first, then one question a screen. Back goes one question back; what is begun is kept.',
      'The cause may be a first guess: the debrief finds out.',
    ],
    terms: ['nearMiss', 'cause', 'occurrence'],
  },
  '/occurrence': {
    says: [
      'One entry. Debrief it to find the cause, or confirm the one that was logged: both open a weakness with its drills.',
    ],
    terms: [
      'occurrence',
      'cause',
      'weakness',
      'restriction',
      'ownGuess',
      'ranking',
      'chain',
      'severity',
      'figures',
    ],
  },
  '/weakness': {
    says: [
      'What is restricted, how far it is from cleared and why, and the drills in a safe order.',
      'The button below is always the next thing to do.',
    ],
    terms: [
      'restriction',
      'steps',
      'test',
      'practice',
      'evidence',
      'chart',
      'coverage',
      'days',
      'check',
      'watch',
      'tested',
      'preparing',
    ],
  },
  '/weakness/reps': {
    says: [
      'One tap after each attempt: met or missed, judged by the standard at the top.',
      'Practice until it comes off; then tell the pilot that tests come. Only tests clear.',
    ],
    terms: [
      'standard',
      'test',
      'practice',
      'announce',
      'level',
      'pack',
      'missReason',
      'spans',
      'windBand',
      'stickPicture',
    ],
  },
  '/session': {
    says: [
      'Say who flies, where and for how long: the drills of all of them are laid out over packs, and can be moved.',
      'Then go or no-go, and the drills one after the other.',
    ],
    terms: ['pack', 'goNoGo', 'reserve', 'test', 'practice', 'announce', 'level'],
  },
  '/pilots': {
    says: ['Everybody who is trained: what is open, what was flown, and what must not be flown now.'],
    terms: ['mode', 'layout', 'positionHold', 'restriction', 'privateLink', 'handOver'],
  },
  '/course': {
    says: [
      'Eight lessons for whoever has not crashed, and where each pilot stands: a bar for each lesson, filled as it is shown.',
    ],
    terms: ['standard', 'test'],
  },
  '/pilots/course': {
    says: [
      'Each drill is shown before the next lesson begins: by attempts that are counted, by one test of whoever flies already, or by what you have seen.',
      'It says that the next step may begin; it clears no weakness.',
    ],
    terms: ['standard', 'test', 'missReason', 'windBand'],
  },
  '/flights': {
    says: ['What was flown, day by day: without it nobody can say how often things go wrong.'],
    terms: ['pack', 'windBand'],
  },
  '/drills': {
    says: [
      'Every drill: what it trains, what the pilot does, and what counts as met.',
      'Most can be flown on the simulator first; a school can write drills and standards of its own.',
    ],
    terms: ['standard', 'stickPicture', 'layout', 'level', 'tested', 'spans', 'positionHold'],
  },
  '/sums': {
    says: [
      'How far it takes to stop, how far the wind carries it, and others. Change a number and the answer follows at once.',
    ],
    terms: ['figures', 'flightCard', 'reserve'],
  },
  '/search': {
    says: [
      'What you half remember: a name, a place, a cause, a part that broke. Each word needs its beginning only, and all of them are found together.',
      'Without signal it finds pilots, drills, sites and craft; entries need the school.',
    ],
    terms: ['occurrence', 'cause'],
  },
  '/signs': {
    says: [
      'Who misses more than before, has more near-misses, rests long or waits for a check, and where near-misses gather.',
      'By names in the order of the alphabet: it asks you to look, and judges nobody.',
    ],
    terms: ['nearMiss', 'check'],
  },
  '/agreement': {
    says: [
      'Every trainer judges the same made-up cases alone. What you said first stays; others are shown once you have judged.',
      'Agreement beyond chance, with how sure so few cases make it. By name it is seen by that trainer and a lead alone.',
    ],
    terms: ['cause', 'chain'],
  },
  '/insights': {
    says: [
      'How often things go wrong, where, and what changed, each figure with what chance alone makes of it.',
      'What cannot be told apart is said so. It judges places and methods, never people.',
    ],
    terms: ['nearMiss', 'cause', 'weakness'],
  },
  '/kit': {
    says: ['Flights, craft, sites, the school, and your account.'],
    terms: ['mode', 'waiting'],
  },
  '/craft': {
    says: ['Pick its kind; what is usual for that is filled in, and can be changed where you know better.'],
    terms: ['mode', 'reserve'],
  },
  '/sites': {
    says: ['A field you fly on: what stands there, and what help needs to find it.'],
    terms: ['goNoGo'],
  },
  '/school': {
    says: ['Units, the clearing rule, who may do what, the history, and everything in and out as files.'],
    terms: ['evidence', 'check', 'ranking', 'handOver'],
  },
  '/school/methods': {
    says: [
      'Where good instructors disagree: how this school does it, and what follows in plans and sessions.',
    ],
    terms: ['evidence', 'mode'],
  },
  '/account': { says: ['Your password, a second factor, and where you are signed in.'], terms: [] },
  '/waiting': {
    says: ['What this phone has not been able to send. It goes out by itself; what is refused says why.'],
    terms: ['waiting'],
  },
};
