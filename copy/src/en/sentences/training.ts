/** What is said of reps, plans, sessions and debriefs: what does not fit, and what would mend it. */
export const TRAINING_SENTENCES = {
  'rep.no-sides': '{drill|drill} has no sides: leave Side empty.',
  'rep.other-side': 'Side must be one of {sides} for {drill|drill}.',
  'rep.day-not-of-time':
    'Day is not the day of Time: give the day on which it was flown, where it was flown.',
  'rep.only-practice-has-levels':
    'Only practice is set easier or harder: tests and checks are flown at the standard.',
  'rep.only-practice': '{drill|drill} is not flown: its reps are practice.',
  'rep.case-missing': 'Case is missing: a test of {drill|drill} is one case drawn by lot.',
  'rep.only-tests-in-sets': 'Only tests are announced in sets: leave Announced set empty.',
  'rep.other-case': 'Case is none of {drill|drill}: leave it empty, or draw one.',
  'rep.other-stage': 'Stage must be one of the {stages} of {drill|drill}.',
  'rep.no-stage': 'Stage must be a whole number from {least} to {most}, or empty.',
  'rep.no-opening': '{drill|drill} has no opening: leave Width empty.',
  'rep.met-without-reason': 'A rep that was met has no reason for a miss: leave it empty.',
  'rep.not-on-simulator': '{drill|drill} cannot be shown on the simulator: fly it on the craft.',
  'rep.other-level': 'Level must be -2, -1, 0 or 1: 0 is the standard.',
  'tests.not-flown': '{drill|drill} is not flown: it has no tests to announce.',

  'rule.strict-rates':
    'The strict test knows one pair of miss rates: {p0} % not yet competent, {p1} % competent.',
  'rule.rates-too-near': 'Competent has to be at most half of not yet competent: at most {most} %.',
  'rule.too-few-reps':
    '{reps} planned reps are too few for a risk of {risk} %: plan more reps or accept more risk.',

  'move.counted-by-signer':
    'You counted its tests, and your school asks for a second person: somebody who counted none of them signs.',
  'trainers.too-many': 'Trainers are too many: at most {most}; leave the list empty for everybody.',
  'retention.no-whole-years': 'Kept for is no whole number of years: give one from 1 to 30.',
  'retention.no-whole-months': 'Flight files are kept for no whole number of months: give one from 1 to 120.',
  'move.not-every-rung':
    'Not every step to clearance is met yet: fly the check first, or sign early with a reason.',
  'move.not-open': 'This weakness is not open: there is nothing to sign.',
  'move.not-on-watch': 'Only a weakness on watch can be closed: sign it first.',
  'move.not-the-last': 'Only the last signature or closing can be undone: reload to see what was last.',

  'plan.unknown-drill': 'There is no drill "{id}": pick one from the list.',
  'plan.drill-twice': 'A drill stands in the plan twice: take one of them out.',
  'plan.too-many': 'A plan holds at most {most} drills: take {over} out.',
  'plan.none-decides':
    'Keep at least one tested drill ({drills|drill|or}): without one nothing can clear this weakness.',

  'findings.primary-missing': 'Primary cause is missing: decide on one.',
  'findings.overrule-without-reason':
    'The ranking puts another cause first: say in a few words why you decide otherwise.',
  'findings.primary-contributes': 'The primary cause is among the contributing ones: take it out there.',
  'findings.contributing-twice': 'A contributing cause stands there twice: take one out.',
  'findings.actual-missing': 'Actual severity is missing: say what it came to.',
  'findings.potential-less':
    'Potential severity is less than the actual one: it cannot have come to more than it could.',
  'findings.injury-missing': 'Injury is missing: say none, first aid or medical.',
  'findings.too-many-contributing': 'Contributing causes are too many: keep at most {most}.',
  'findings.too-much-damage': 'Damage is too long: keep at most {most} parts.',
  'findings.chain-too-long': 'The chain is too long: keep at most {most} links.',

  'chain.cause': '{cause|cause}',
  'chain.answer': '{question|short}: {value|value|lower}',
  'chain.crash': 'Crash',
  'chain.near-miss': 'Near-miss',
  'chain.crash-with': 'Crash: {what|met|lower}',
  'chain.near-miss-with': 'Near-miss: {what|met|lower}',
  'chain.none-breakable':
    'No link of the chain is one that training can break: mark the one the drills should go to.',
  'chain.first-is-not-primary':
    'The first link that training can break is "{cause|cause}": make it the primary cause, or unmark it.',

  'reason.sign-holds': '{sign|holds}',
  'reason.sign-fails': '{sign|fails}',
  'reason.answer': '{question|short}: {value|value|lower}',
  'reason.implied': '{question|short}: as {by|short|lower|and} imply',

  'session.pack-too-long': 'Pack {number} holds {minutes} of {most} minutes: move {drill|drill} to another.',
  'session.other-pilot': "Pack {number} is {pilot}'s: one pilot flies a pack.",
  'session.halves-together': '{drill|drill} is mixed now: put its two halves on different packs.',
  'session.stands-twice': '{drill|drill} stands twice in pack {number}: put one of them on another.',
  'session.comes-before':
    '{before|drill} comes before {drill|drill}: put it before, or leave {drill|drill} for another day.',
  'session.check-fresh': 'The check of {drill|drill} is flown fresh: put it first.',
  'session.too-many-packs': '{pilot} has {packs} packs: {most} a day teach as much.',
  'session.two-new': '{drills|drill|and} are both new to {pilot}: leave one for another day.',
  'session.packs-short': '{planned} packs are planned and {there} are there.',
  'session.time-short': 'It takes {takes} minutes and there are {there}: leave a pack out.',
  'session.start-missing': 'Start is missing: give hours and minutes.',
  'session.no-start': 'Start must be written as hours:minutes, such as 09:30.',
  'session.no-light-until': 'Light until must be written as hours:minutes, such as 17:45.',
  'session.time-below': 'Time is below {least} min: give more, or none.',
  'session.time-above': 'Time is above {most} min: give less, or none.',
  'session.too-many-blocks': 'A pack holds at most {most} blocks: move some to another.',
  'session.most-packs': 'A session holds at most {most} packs: take some out.',
  'session.packs-missing': 'Packs are missing: give a list.',

  'today.simulator-first': 'On the simulator first: {reps} reps, until one comes off.',
  'today.check-in-cases': 'The check is due: up to {reps} cases by lot, at the craft, before anything else.',
  'today.rests': 'Rests until the check on {until}: practice now would move it.',
  'today.waits-for-signature': 'The check is passed: it waits for your signature.',
  'today.counts-here-too': '{drill|drill} is flown for another weakness today and counts here too.',
  'today.too-windy':
    "The wind is {windMps|v} and this pilot's limit {windLimitMps|v}: not today, or on the simulator.",
  'today.decides-by-cases': 'Tested: up to {left} cases by lot today, at the craft.',
  'today.dose': '{drill|dose}',

  'block.practice': 'Practice {level|level}: about {atLevel|percent} should come off; {how}',
  'block.mixed': 'mixed, since {comingOff|percent} came off lately.',
  'block.in-doses': 'in small doses, as the nose is brought round early.',
  'block.in-one-go': 'in one go until seven in ten come off.',
  'block.test': 'Test, said beforehand: brings {brings}; {chance|percent} should be met.',
  'block.check': 'The check is due: fresh, before anything else.',
  'block.course': 'For the course: {left} more in a row would do.',
  'block.check-on-watch': 'The check on watch is due: fresh, before anything else.',
  'brings.chart': 'the chart',
  'brings.band': '{band} wind',
  'brings.side': 'a side not yet shown',
  'brings.as-flown': 'the way it is usually flown, hold on',
  'brings.day': 'another day',
} as const;
