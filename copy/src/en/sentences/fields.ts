/** What is wrong with a field: its name, its limit, and the remedy. */
export const FIELD_SENTENCES = {
  'field.pick-one': '{label|label} is missing: pick one.',
  'field.pick-one-of': '{label|label} is missing: pick one of {values}.',
  'field.no-key': '{label|label} must be a UUID in lower case.',
  'field.no-key-nor-null': '{label|label} must be a UUID in lower case, or null.',
  'field.no-text': '{label|label} is no text: write it as text.',
  'field.unreadable': '{label|label} holds a character that is no text: delete it, or type it again.',
  'field.empty': '{label|label} is empty: write something.',
  'field.too-long': '{label|label} is too long: at most {longest} characters, so shorten it.',
  'field.reason-empty': 'Reason is empty: say why in a few words.',
  'field.reason-too-short': 'Reason is too short: say why in a few words.',
  'field.number-missing': '{label|label} is missing: give a number from {least} to {most}{unit}.',
  'field.no-number': '{label|label} is not a number: give one from {least} to {most}{unit}.',
  'field.below': '{label|label} is below {least}{unit}: give a number from {least} to {most}{unit}.',
  'field.above': '{label|label} is above {most}{unit}: give a number from {least} to {most}{unit}.',
  'field.no-number-nor-empty':
    '{label|label} is not a number: give one from {least} to {most}{unit}, or leave it empty.',
  'field.below-or-empty':
    '{label|label} is below {least}{unit}: give a number from {least} to {most}{unit}, or leave it empty.',
  'field.above-or-empty':
    '{label|label} is above {most}{unit}: give a number from {least} to {most}{unit}, or leave it empty.',
  'field.no-part': '{label|label} is not a number: give a number from {least} to {most}.',
  'field.not-whole': '{label|label} must be a whole number from {least} to {most}{unit}.',
  'field.other-choice': '{label|label} must be one of {values}: pick one of these.',
  'field.other-choice-or-empty': '{label|label} must be one of {values}, or left empty: pick one of these.',
  'field.yes-no-missing': '{label|label} is missing: say true or false.',
  'field.no-yes-no': '{label|label} must be true or false.',
  'field.no-on-off': '{label|label} must be 1 or 0.',
  'field.no-day': '{label|label} must be a day written YYYY-MM-DD, such as 2026-05-31.',
  'field.no-instant': '{label|label} must be an instant in UTC, such as 2026-05-31T09:30:00.000Z.',
  'field.drills-missing': '{label|label} is missing: give a list of drill ids.',
  'field.no-drills': '{label|label} must be a list of drill ids.',
  'field.no-drill': '{label|label} is not a known drill: pick one from the list.',
  'field.no-cause': '{label|label} is not a known cause: pick one from the list.',
  'field.no-cause-nor-null': '{label|label} is not a known cause: pick one from the list, or null.',
  'field.evidence-no-object': 'evidence must be an object of answers by question id.',

  'unnamed.wrong': '{path|path} is not right: look at it again.',
  'unnamed.missing': '{path|path} is missing: give it.',
  'unnamed.empty': '{path|path} is empty: give it.',
  'unnamed.other-kind': '{path|path} must be {kind|kind}: send it so.',
  'unnamed.text-too-long': '{path|path} is too long: at most {max} characters, so shorten it.',
  'unnamed.text-too-short': '{path|path} is too short: at least {min} characters.',
  'unnamed.list-too-long': '{path|path} is too long: at most {max} entries, so leave some out.',
  'unnamed.list-too-short': '{path|path} is too short: at least {min} entries.',
  'unnamed.unknown-fields': '{path|path} has fields that nobody knows: leave out {fields}.',

  'answer.no-question': '{id} is not a question: use the ids of the list of questions.',
  'answer.outside':
    '{id} must lie from {least} to {most}{unit}, not {sent}: give a number from {least} to {most}{unit}, alone or as { "value", "within" }.',
  'answer.no-number':
    '{id} is not a number: give a number from {least} to {most}{unit}, alone or as { "value", "within" }.',
  'answer.unknown-part':
    '{id} has a part "{part}" that means nothing here: give a number from {least} to {most}{unit}, alone or as { "value", "within" }.',
  'answer.other-unit': '{id} is in "{given}": send it in "{unit}".',
  'answer.value-outside':
    '{id} must lie from {least} to {most}{unit}: give a number from {least} to {most}{unit}, alone or as { "value", "within" }.',
  'answer.within-outside':
    '{id} has a "within" that is not a number from 0 to {most}{unit}: say how far off it may be.',
  'answer.other-choice': '{id} must be one of {values}: pick one of these.',
  'answer.other-nose': '{id} must be one of {values}, or a bearing from 0 to 360 °: pick one of these.',

  'batch.minutes-missing': 'minutesAheadOfUtc is missing: give a whole number of minutes.',
  'batch.path-missing': 'path is missing: give the address to write to.',
  'batch.no-path': 'path must be an address under /api, such as /reps/….',
  'batch.body-missing': 'body is missing.',
  'batch.no-body': 'body must be an object.',
  'batch.commands-missing': 'commands is missing: give a list.',
  'batch.too-many': 'commands is too long: send at most {most} at once.',

  'sign-in.email-empty': 'E-mail is empty: write the address you sign in with.',
  'sign-in.no-email': 'E-mail does not look like an address: write it as name@place.',
  'sign-in.email-too-long': 'E-mail is too long: at most {most} characters.',
  'sign-in.password-no-text': 'Password is no text: write it as text.',
  'sign-in.password-empty': 'Password is empty: write it.',
  'sign-in.password-too-long': 'Password is too long: at most {most} characters.',
  'sign-in.code-no-text': 'Code is no text: write it as text.',
  'sign-in.code-too-long': 'Code is too long: at most {most} characters.',

  'link.no-craft':
    'Craft must be mass, span, rotors, rotor radius, thrust to weight and top speed, in SI units, with spaces between.',
  'ranking.unknown-part': 'craft has no part called {part}: see the documentation of the ranking.',
  'ranking.no-craft': 'craft must be the key of one of your craft, a description in SI units, or null.',
  'ranking.unknown-field': '{field} means nothing here: send craft and evidence.',
  'occurrence.unknown-part': '{part} is not a part of an occurrence: see docs/occurrences.schema.json.',
  'pilot.too-many-shown': 'Shown before is too long: at most {most} drills.',
  'reporting.rules-missing': 'Rules are missing: give a list, or an empty one.',
  'reporting.too-many': 'At most {most} rules: leave some out.',
  'course.seen-by-missing': 'Reason is empty: say who saw it, and where.',
  'course.what-is-taken-back':
    'Key names what is taken back: send it for that, and null for everything else.',
  'course.shown-is-met': 'Met must be true for what was shown before.',
  'course.shown-on-the-craft':
    'Flown on must be craft: what is shown is shown there; the simulator is practice.',
  'near-miss.missing': 'What it was like is missing: pick one.',
  'near-miss.not-listed': 'What it was like is not on the list: pick one.',
  'near-miss.too-short': 'What happened is too short: say it in a few words.',
} as const;
