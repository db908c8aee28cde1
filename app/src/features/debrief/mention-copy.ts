import type { MentionId } from '@skelby/core/ranking/mentions';

export const MENTION_WORDS: Readonly<Record<MentionId, string>> = {
  'by-itself': 'It flew by itself',
  'not-as-thought': 'Another mode or setting',
  air: 'Wind or draught',
  rain: 'Rain, fog, spray',
  animals: 'Birds, animals',
  people: 'Somebody near',
  picture: 'The picture',
  far: 'Hardly in sight',
  link: 'The radio link',
  battery: 'Battery warning',
  motors: 'The motors',
  mind: 'Distracted, startled',
  'wrong-stick': 'A wrong stick',
  'left-out': 'A step left out',
};
