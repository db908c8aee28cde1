/** What is wrong with a flight log, and what to do. */
export const LOG_SENTENCES = {
  'log.file-too-large':
    'The file has {megabytes} MB: at most {most}. Cut out the flight that should be judged.',
  'log.line-without-end': 'it has no end within 1 MB: a quotation mark left open, or no flight log at all.',
  'log.too-long': 'the log is longer than {most} lines: cut out the flight that should be judged.',
  'log.other-event': '"{name}" is not an event: one of {events}.',
  'log.empty': 'the file is empty: a log begins with a line that names its columns.',
  'log.no-lines': 'there are no lines under the header: a log has one line for every moment.',
  'log.other-rate': '{hz} lines a second: a log has {least} to {most}. Record it so, or thin it out.',
  'log.in-feet': 'places move {times} times as far as the speeds say: are the places in feet? Give metres.',
  'log.speeds-disagree':
    'places move {times} times as far as the speeds say: give places in m and speeds in m/s.',
  'log.unit-missing': 'the unit is missing: write "{title}" and give {give}.',
  'log.other-unit': '"{unit}" is not its unit: write "{title}" and give {give}.',
  'log.values-to-1': 'values from −1 to 1',
  'log.column-at': 'column {number} "{title}"',
  'log.columns-of-attitude': 'q_w to q_z',
  'log.column-twice': 'it is there twice: leave one out.',
  'log.column-missing':
    'a column is missing: {missing}. Add it; {event}, mode, hold, battery and wind may be left out.',
  'log.columns-missing':
    'columns are missing: {missing}. Add them; {event}, mode, hold, battery and wind may be left out.',
  'log.other-word': '"{text}" is not known: one of {words}.',
  'log.cell-empty': 'it is empty: every line needs a number here.',
  'log.no-number': '"{text}" is not a number: fill it, or leave the whole line out.',
  'log.out-of-bounds': '{text} is out of bounds: at most {most}{unit}.',
  'log.no-unit-quaternion':
    'the attitude has length {size}: q_w, q_x, q_y and q_z must make a unit quaternion.',
  'log.time-stands': 'time does not go on: each line must be later than the one before.',
  'log.gap': '{seconds} s are missing before it: a flight cannot be judged over a gap. Cut the log there.',
} as const;
