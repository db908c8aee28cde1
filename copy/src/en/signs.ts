/** What a sign means when it holds, and when it does not. */
export interface SignWords {
  readonly holds: string;
  readonly fails: string;
}

export const SIGN_WORDS: Readonly<Record<string, SignWords>> = {
  overran: {
    holds: 'It needed more room to stop than there was',
    fails: 'There was room to stop',
  },
  'long-stop': {
    holds: 'At this speed it takes long to stop',
    fails: 'At this speed it stops within a few metres',
  },
  'in-wash': {
    holds: 'It sank within its own wash',
    fails: 'It sank too slowly, or moved on too fast, to meet its own wash',
  },
  folded: {
    holds: 'The nose outran the path, so the air came back at it',
    fails: 'The path followed the nose',
  },
  unreadable: {
    holds: 'Too far to read its attitude by eye',
    fails: 'Near enough to read its attitude by eye',
  },
  undetectable: {
    holds: 'Too far to be seen at all',
    fails: 'Near enough to be seen',
  },
  'wind-strong': {
    holds: 'The wind was over a third of what the craft flies in this setting',
    fails: 'The wind was small beside what the craft flies in this setting',
  },
  'below-reserve': {
    holds: 'The battery was down into the reserve',
    fails: 'There was battery to spare',
  },
  'short-of-charge': {
    holds: 'What was left did not reach home',
    fails: 'What was left reached home',
  },
  'gap-tight': {
    holds: 'The gap left little room',
    fails: 'The gap was over four spans wide',
  },
  'return-lower': {
    holds: 'The return was set lower than the tallest thing on its way',
    fails: 'The return was set over everything on its way',
  },
  'inside-ring': {
    holds: 'Inside the ring that the pilot-relative mode keeps round the pilot',
    fails: 'Outside the ring round the pilot, or not in that mode',
  },
  'people-close': {
    holds: 'Somebody who was not part of it was near',
    fails: 'Nobody was near',
  },
  skimming: {
    holds: 'Within about a span of the ground',
    fails: 'Well clear of the ground',
  },
  'automatic-wrong': {
    holds: 'What it did by itself did not fit the place: cover above, home point or return height',
    fails: 'What it did by itself fitted the place',
  },
  mirrored: {
    holds: 'Nose toward the pilot, and it went the opposite way',
    fails: 'It was not nose-in going the opposite way',
  },
  'tail-in-reversed': {
    holds: 'Nose away, and still it went the wrong way',
    fails: 'It was not nose away going the wrong way',
  },
  'across-mixed': {
    holds: 'Nose across the view, and it went sideways to what was meant',
    fails: 'It was not nose across going sideways',
  },
  misread: {
    holds: 'The nose was not where the pilot believed',
    fails: 'The pilot knew where the nose pointed',
  },
  'forward-moved': {
    holds: 'What "forward" meant changed in flight',
    fails: 'What "forward" meant did not change in flight',
  },
  'hold-belief-wrong': {
    holds: 'Hold was off, and the pilot believed it was on',
    fails: 'The pilot was not wrong about hold being off',
  },
  'hold-belief-dropped': {
    holds: 'Hold dropped out, and the pilot believed it was on',
    fails: 'Hold did not drop out on a pilot who relied on it',
  },
  'astray-on-hold': {
    holds: 'Hold was on, the heading not to be trusted, and corrections did not help',
    fails: 'It was not astray on a bad heading',
  },
  'moved-with-air': {
    holds: 'Without hold, it moved with the air',
    fails: 'It was not drifting with the air for want of hold',
  },
  'pushed-through-hold': {
    holds: 'Hold was healthy, and the air still moved it',
    fails: 'It was not the air moving it through a healthy hold',
  },
  'let-go': {
    holds: 'The sticks were let go and it went on its own way',
    fails: 'It was not let go and coasting',
  },
  'yaw-only-manual': {
    holds: 'Yaw alone, in a mode in which that does not turn the path',
    fails: 'It was not yaw alone in such a mode',
  },
  'sank-unpowered': {
    holds: 'It sank, with nothing holding the height',
    fails: 'It did not sink for want of height hold',
  },
  'sank-in-column': {
    holds: 'Straight down, and power did not help',
    fails: 'It was not straight down with power not helping',
  },
  'own-rise': {
    holds: "By the pilot's own hand into something above",
    fails: "It was not the pilot's own rise into something above",
  },
  'spin-snap': {
    holds: 'The nose was spun, and it snapped',
    fails: 'It was not a spin and a snap',
  },
  'snap-no-spin': {
    holds: 'It snapped without the nose having been swung',
    fails: 'It did not snap by itself',
  },
  'blind-move': {
    holds: 'It moved toward the side where nothing looks, and that is where it was',
    fails: 'It was not moving blind toward it',
  },
  'saw-ahead': {
    holds: 'It was ahead, and it was seen',
    fails: 'It was not seen ahead',
  },
  'screen-out-of-sight': {
    holds: 'Flown on the camera with the craft out of sight',
    fails: 'The craft was in sight',
  },
  'link-handled': {
    holds: 'The link was lost, and what it did by itself was harmless or nothing',
    fails: 'It was not a lost link and nothing else',
  },
  overrode: {
    holds: 'Frightened, with big inputs',
    fails: 'It was not fright with big inputs',
  },
  'fought-automatic': {
    holds: 'It flew by itself, and the sticks pulled against it',
    fails: 'Nobody pulled against what it did by itself',
  },
  'step-at-ground': {
    holds: 'A step was left out, and it went wrong at lift-off or touch-down',
    fails: 'It was no step left out at lift-off or touch-down',
  },
  'circling-unsure': {
    holds: 'Circling by itself, with the heading not to be trusted',
    fails: 'It was not circling on a bad heading',
  },
  'ground-tip': {
    holds: 'Tipped at lift-off or touch-down on a surface that catches',
    fails: 'It did not tip on a surface that catches',
  },
  'gap-unsteady': {
    holds: 'In the gap, and not steady or not correcting',
    fails: 'It was steady, or not in a gap',
  },
};
