/** What is read out in cases drawn by lot, and what is right. */
export const CASE_SENTENCES = {
  'case.planted-says': '{id|planted-says}',
  'case.planted': '{id|planted}.',
  'case.landing-says': 'Wind from {side|wind-side}; {spot|spot-says}; setting {setting}, legs {legs}.',
  'case.landing-legs-up':
    'Slow setting; nose {side|facing}; {spot|spot}; legs let down; nobody near; down; motors stopped before a hand leaves the sticks.',
  'case.landing-legs-down':
    'Slow setting; nose {side|facing}; {spot|spot}; legs seen down; nobody near; down; motors stopped before a hand leaves the sticks.',
  'case.calibration-says': '{near|near-says} {steps} steps to the {quarter}; keys and phone in the pocket.',
  'case.calibration':
    'Away from {near|near}, to the {away}; keys and phone laid aside; level turn, then nose-down turn; hover: it stands, and forward is forward.',
  'case.read-back-left-says':
    'Where the pilot does not see it: setting {setting}, sensors {sensors}, home {home}. Power off and on. Leave the switch on another setting.',
  'case.read-back-knocked-says':
    'Where the pilot does not see it: setting {setting}, sensors {sensors}, home {home}. Power off and on. Knock the switch once it has started.',
  'case.read-back-left':
    'Switches it out and back, then reads from the display: setting (it fell back), then takes {setting}; sensors {sensors}; home {home}; mode; hold; fix.',
  'case.read-back-knocked':
    'Switches it out and back, then reads from the display: setting (it was knocked), then takes {setting}; sensors {sensors}; home {home}; mode; hold; fix.',
  'case.order-says': 'In this order: {order}. Set it where the pilot does not see the switch.',
  'case.order': 'Reads {order} from the display, and stops each time at the mark of that setting.',
  'case.lost-link-holds-open':
    'A craft that holds its position. {id|lost-link-says}: tallest {tallestM|m}, limit {heightLimitM|m}. Beneath: {id|lost-link-below}.',
  'case.lost-link-holds-roofed':
    'A craft that holds its position. {id|lost-link-says}: tallest {tallestM|m}, roof at {ceilingM|m}, limit {heightLimitM|m}. Beneath: {id|lost-link-below}.',
  'case.lost-link-free-open':
    'A craft without position hold. {id|lost-link-says}: tallest {tallestM|m}, limit {heightLimitM|m}. Beneath: {id|lost-link-below}.',
  'case.lost-link-free-roofed':
    'A craft without position hold. {id|lost-link-says}: tallest {tallestM|m}, roof at {ceilingM|m}, limit {heightLimitM|m}. Beneath: {id|lost-link-below}.',
  'case.lost-link-does': '{action|failsafe}, clear of {id|lost-link-below}. {why|failsafe-why}',
  'case.lost-link-does-at':
    '{action|failsafe} at {returnHeightM|m}, clear of {id|lost-link-below}. {why|failsafe-why}',

  'scene.told':
    '{place|place-label}{roof}. Craft of {spanM|m} span. Wind {windMps|v}, gusts {gustMps|v}, your limit {windLimitMps|v}. {heightM|m} high, limit {heightLimitM|m}; {farthestM|m} out; nearest person {peopleM|m}. Charge {chargePct} %, land with {reservePct} %. {weather} Light for {lightMin} min, seen as far as {visibilityM|m}. Setting {setting}.{taped}',
  'scene.roof': ', roof at {ceilingM|m}',
  'scene.roof-unknown': ', roof: nobody knows',
  'scene.drizzle': 'Drizzle.',
  'scene.dry': 'Dry.',
  'scene.sensor-taped': ' The sensor below is taped over.',
  'scene.refused': '{said}: {remedy}.',
  'scene.no-go': 'No. {refused|spaced}',
  'scene.go': 'Go, and turn back at {turnBackM|m} at the latest.',
} as const;
