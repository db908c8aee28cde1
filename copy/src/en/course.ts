import type { UsualLessonId } from '@skelby/core/course/lessons';

/** What a lesson of the course is called, and what a pilot can do after it. */
export const LESSON_WORDS: Readonly<
  Record<UsualLessonId, { readonly name: string; readonly after: string }>
> = {
  ground: {
    name: 'On the ground',
    after: 'checks the craft aloud, stops its motors without thinking, and knows what it does by itself',
  },
  'first-hands': { name: 'First hands', after: 'works one stick at a time, takes off and sets down' },
  'tail-in': {
    name: 'Tail-in',
    after: 'holds it, flies it out and back, and stops on the mark in every setting',
  },
  'walk-and-side-on': {
    name: 'Walk and side-on',
    after: 'walks behind it and holds it with the nose to the side',
  },
  circles: { name: 'Circles', after: 'turns both ways and keeps the height' },
  'nose-in': { name: 'Nose-in', after: 'flies it whichever way it points' },
  'hold-off': { name: 'Hold off', after: 'flies on when position hold is gone' },
  'wind-and-home': { name: 'Wind and home', after: 'reads the wind, turns back in time and comes home' },
};
