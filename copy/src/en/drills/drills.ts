import type { DrillGroupId } from '@skelby/core/drills/drill';
import type { HouseDrillId } from '@skelby/core/drills/drills';
import type { DrillWords } from '../../drill-words';
import { HANDS_AND_HOVER_WORDS } from './hands-and-hover';
import { POINTING_AND_TURNS_WORDS } from './pointing-and-turns';
import { WASH_AND_OBSTACLES_WORDS } from './wash-and-obstacles';
import { AIR_AND_HEAD_WORDS } from './air-and-head';
import { SETTINGS_AND_PEOPLE_WORDS } from './settings-and-people';

export const DRILL_GROUP_NAMES: Readonly<Record<DrillGroupId, string>> = {
  hands: 'Hands',
  hover: 'Hover',
  pointing: 'Which way it points',
  turns: 'Turns and height',
  wash: 'Own wash',
  obstacles: 'Stopping, gaps, things to hit',
  air: 'Position hold and wind',
  head: 'Settings, energy, link, head',
};

export const DRILL_WORDS: Readonly<Record<HouseDrillId, DrillWords>> = {
  ...HANDS_AND_HOVER_WORDS,
  ...POINTING_AND_TURNS_WORDS,
  ...WASH_AND_OBSTACLES_WORDS,
  ...AIR_AND_HEAD_WORDS,
  ...SETTINGS_AND_PEOPLE_WORDS,
};

/** A school's own drill where its words are not at hand. */
export const OWN_DRILL: DrillWords = {
  name: 'Own drill',
  trains: '',
  task: '',
  byEye: 'As the school has written it',
  measured: '',
  dose: '',
};
