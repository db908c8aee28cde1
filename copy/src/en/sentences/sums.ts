/** Answers of the sums, and what is wrong with what they are given. */
export const SUM_SENTENCES = {
  'sum.missing': '{input|input} is missing: give a number from {least} to {most}{unit}.',
  'sum.outside': '{input|input} lies outside its limits: give a number from {least} to {most}{unit}.',
  'sum.formula': '{limit}',
  'sum.guessed': 'Nobody told {inputs|input|lower-first|and}; taken as usual: {answer}',
  'sum.stop-no': 'No: it needed {neededM|m} and had {seenAtM|m}. Up to {safe|v} would have stopped.',
  'sum.stop-yes': 'Yes: it needed {neededM|m} of the {seenAtM|m} there were.',
  'sum.wash': '{answer} Straight down, keep under {quietMps|v}.',
  'sum.wash-own-wash': 'Yes: it sank inside its own wash.',
  'sum.wash-edge': 'At the edge of it: shaking, and little to spare.',
  'sum.wash-clean': 'No: it stayed clear of its own wash.',
  'sum.wash-windmill': 'It fell faster than its own wash: beyond the shaking, and hard to stop.',
  'sum.wash-too-fast':
    'Not yet in its own wash, and past the limit for coming straight down: it sank at {descentMps|v}.',
  'sum.fold-no': 'No: its own wash stayed behind it.',
  'sum.fold-yes':
    'Yes: the nose outran the path and the wash came back at it. In this lean the path turns at {pathDps} °/s, and the nose was swung at {swungDps} °/s.',
  'sum.fold-outran':
    'It may have, once it slowed: the nose outran the path, and it slid on sideways or backwards. In this lean the path turns at {pathDps} °/s, and the nose was swung at {swungDps} °/s.',
  'sum.lean-too-steep':
    'More than it can hold: past {steepestDeg}° full thrust no longer carries this craft.',
  'sum.lean-all':
    'All of its height: up to {lostM|m} of {heightM|m}, unless the throttle goes up by {share|percent}.',
  'sum.lean-some':
    'Some of its height: up to {lostM|m} of {heightM|m}, unless the throttle goes up by {share|percent}.',
  'sum.fall':
    'Down within {seconds} s at {speedMps|v}, up to {aheadM|m} ahead. Nobody may be there: a person in the path ends the discussion.',
  'sum.drift-all': '{carried|m}, and by then it moved at {speedMps|v}. That is all the room there was.',
  'sum.drift-some': '{carried|m}, and by then it moved at {speedMps|v}. It had {room|m}.',
  'sum.sight-yes': 'Yes: attitude can be read out to about {attitudeM|m}.',
  'sum.sight-unseen': 'No: beyond about {detectionM|m} it cannot even be seen.',
  'sum.sight-dot': 'No: it is a dot there. Attitude can be read out to about {attitudeM|m}.',
  'sum.sight-hardly': 'Hardly: past half of the {attitudeM|m} at which attitude can be read.',
  'sum.home': '{answer} On a full battery, turn back by {turnBackM|m}.',
  'sum.home-no-way': 'No: at this air speed it makes no way home against this wind.',
  'sum.home-yes': 'Yes, with {left} % left on landing.',
  'sum.home-no': 'No: home took {needed} % and it had {had} %.',
  'sum.home-into-reserve': 'Just, and into the reserve: {left} % left of the {reserve} % wanted.',
  'sum.return': '{answer} On a lost link here: {action|failsafe}. {why|failsafe-why}',
  'sum.return-yes': 'Yes, with {overM|m} over the tallest thing.',
  'sum.return-no': 'No: set {belowM|m} below the tallest thing. Wanted {wantedM|m}.',
  'sum.return-scant': 'With less than the margin: wanted {wantedM|m}.',
  'sum.gap-wide': "{spareM|m} on each side: {wanders} times this pilot's wander. Enough for a steady hand.",
  'sum.gap-tight':
    "{spareM|m} on each side: {wanders} times this pilot's wander. Train at {fitting} spans first.",
} as const;
