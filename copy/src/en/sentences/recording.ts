/** Why a recorded flight is not read, and what to do. */
export const RECORDING_SENTENCES = {
  'recording.columns': 'It has {columns} columns: at most {most}. Is it the file of a flight?',
  'recording.rows': 'It has more than {most} lines: cut out the flight, or record fewer lines a second.',
  'recording.no-figures': 'There is no line of figures in it: is it the file of a flight?',
  'recording.no-header':
    'The line over the figures does not name each column: add a line of names, one for each column.',
  'recording.no-time': 'No column is a time: pick the one that is, or record times.',
  'recording.no-place': 'No columns are a place: pick latitude and longitude, or metres east and north.',
  'recording.few-lines': 'It has fewer than {least} lines with a time that rises: that is no flight.',
  'recording.long':
    'It goes on for {hours} h: at most 3. Cut out one flight, or pick another unit for the time.',
  'recording.too-large': 'It has {megabytes} MB: at most {most}. Cut out the flight.',
  'recording.not-text': 'It is no text and no log that can be read here: give CSV, GPX, GeoJSON or ULog.',
  'recording.gpx-doctype': 'It names a document type, which no track needs: take it out.',
  'recording.gpx-broken': 'It is no whole GPX: {why}. Record or save it anew.',
  'recording.gpx-deep': 'It is nested far deeper than a track is: is it one?',
  'recording.gpx-place':
    'Point {point}, line {line}: latitude has to be from -90 to 90 and longitude from -180 to 180.',
  'recording.gpx-no-track': 'It has no track points: save the track, not a route or waypoints.',
  'recording.json-broken': 'It is no whole JSON: {why}. Save it anew.',
  'recording.json-no-line': 'It has no line and no points with times: is it a flight?',
  'recording.json-no-times': 'Its line has no time for each place: save it with times.',
  'recording.ulog-flags':
    'It says that it can be read only by something newer than this. Save it as CSV, or in an older version.',
  'recording.ulog-broken': 'It is no whole ULog: {why}. Copy it from the recorder again.',
  'recording.ulog-empty': 'Nothing was logged in it.',
} as const;
