import { CAUSES } from '@skelby/core/causes/causes';
import { cellsOf } from '@skelby/core/clearance/test-charts';
import { DEFAULT_RULE, TESTS } from '@skelby/core/clearance/clearing-rule';
import { drawFrom } from '@skelby/core/clearance/evidence/simulated';
import { costsOf, LOOKED_AFTER, whatItTakes } from '@skelby/core/clearance/rule-costs';
import { type SignedPilot, steadily, watchedYear } from '@skelby/core/testing/watch-year';
import { drillOf, type DrillId } from '@skelby/core/drills/drills';
import { keyDrillsFor, suits } from '@skelby/core/plan/key-drills';
import { exerciseOf, MEASURED_DRILLS } from '@skelby/core/assessment/exercises';
import { modeFlown } from '@skelby/core/assessment/exercise';
import { craftModel } from '@skelby/core/simulator/craft-model';
import type { PilotedMode } from '@skelby/core/simulator/control/control';
import { practiceOf } from '@skelby/core/simulator/practice';
import { flyDrill } from '@skelby/core/synthetic-pilot/fly-drill';
import { HABIT_SHOWS, type Habit, HABITS, missedBy, sidesShown } from '@skelby/core/synthetic-pilot/habits';
import { LAZY_ANSWERS, meets, nullPilots, othersFor } from '@skelby/core/synthetic-pilot/null-pilots';
import { craftFacts, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';

/** What can be trusted: the tables behind cleared, null pilots, what clearing takes, and the watch. */

const percent = (share: number) => `${(100 * share).toFixed(1)} %`;
const CRAFT = craftModel(craftFacts(USUAL_CRAFT));
const WINDS = [1, 3.5, 6] as const;

function sayRule(): string {
  const costs = TESTS.map((test) => costsOf({ ...DEFAULT_RULE, test }));
  return [
    `| test reps of one chart | ${TESTS.map((test) => `${test} | good and bad days`).join(' | ')} |`,
    `| --- | ${TESTS.map(() => '--- | ---').join(' | ')} |`,
    ...LOOKED_AFTER.map((reps, i) => {
      const cells = costs.map(({ letThrough }) => letThrough[i]!);
      return `| ${reps} | ${cells.map((each) => `${percent(each.independent)} | ${percent(each.together)}`).join(' | ')} |`;
    }),
    '',
    'A pilot who misses 40 % and learns nothing: share let through one chart, before the check.',
  ].join('\n');
}

function sayTakes(): string {
  const lines = CAUSES.map((cause) => {
    const charts = cellsOf(keyDrillsFor(cause, 'position-hold')).length;
    const { reps, ninetieth, days } = whatItTakes(DEFAULT_RULE, charts);
    return `| ${cause.id} | ${charts} | ${reps} | ${ninetieth} | ${days} |`;
  });
  return [
    '| cause | charts | reps, check included | nine in ten by | days |',
    '| --- | --- | --- | --- | --- |',
    ...lines,
  ].join('\n');
}

const WATCHED = 600;

/** Sound pilots called back in a year, and how long a pilot who has slipped is not seen. */
function sayWatch(): string {
  const lines = (
    [
      ['one drill', ['tail-in-hover']],
      ['two drills', ['tail-in-hover', 'pad-landing']],
    ] as const
  ).map(([name, keyDrills]) => {
    const draw = drawFrom(31);
    const run = (pilot: () => SignedPilot) =>
      Array.from({ length: WATCHED }, () => watchedYear(keyDrills, pilot(), draw));
    const back = run(() => steadily(0.1)).filter(({ calledBackAfter }) => calledBackAfter !== null).length;
    const limited = run(() => ({ sound: 0.1, fellBack: 0.4, fellBackAfter: Math.floor(draw() * 365) }))
      .map(({ limitedAfter }) => limitedAfter ?? 366)
      .sort((a, b) => a - b);
    return `| ${name} | ${percent(back / WATCHED)} | ${limited[WATCHED / 2]} | ${limited[Math.floor(0.9 * WATCHED)]} |`;
  });
  return [
    '| deciding drills | sound pilots called back in a year | days from falling back to 40 %, on any day of the year, until limited, middle | nine in ten by |',
    '| --- | --- | --- | --- |',
    ...lines,
  ].join('\n');
}

/** Every null pilot through every drill, on every side, in every wind and form. */
function sayNull(): string {
  const lines: string[] = [];
  for (const drillId of MEASURED_DRILLS) {
    const pilots = nullPilots(othersFor(drillId));
    const { sides } = drillOf(drillId);
    let [flown, met, worst] = [0, 0, 0];
    for (const side of sides.length > 0 ? sides : [null])
      for (const windMps of WINDS) {
        const mode = modeFlown(exerciseOf(drillId, side)!, practiceOf(drillId, side, 'position-hold')!.mode);
        const here = pilots.filter((pilot) => meets(CRAFT, pilot, { drillId, side, windMps, mode, seed: 5 }));
        [flown, met, worst] = [flown + pilots.length, met + here.length, Math.max(worst, here.length)];
      }
    const steady = metShare(drillId, []);
    lines.push(
      `| ${drillId} | ${percent(met / flown)} | ${worst} of ${pilots.length} | ${percent(steady)} |${worst > pilots.length / 20 || steady < 0.9 ? ' ✗' : ''}`,
    );
  }
  return [
    '| drill | null pilots who meet it | at worst, one side and wind | steady hands |',
    '| --- | --- | --- | --- |',
    ...lines,
  ].join('\n');
}

/** Drills that ask something in flight. */
const ASKING = MEASURED_DRILLS.filter((id) =>
  exerciseOf(id, drillOf(id).sides[0] ?? null)!.stages.some(({ asks }) => asks !== undefined),
);

/** Good hands that do not look: what is said is always the same, or anything. */
function sayLazy(): string {
  const lines = ASKING.flatMap((drillId) =>
    LAZY_ANSWERS.map(({ name, says }) => {
      const met = Array.from({ length: FLIGHTS }, (_, i) => {
        const [seed, windMps] = [90 + 13 * i, i % 2 === 0 ? BAND_MPS.calm : BAND_MPS.light];
        return flyDrill(CRAFT, { drillId, side: null, windMps, seed, says: says(seed) }).score.met;
      }).filter(Boolean).length;
      return `| ${drillId} | ${name} | ${met} of ${FLIGHTS} |${met > FLIGHTS / 20 ? ' ✗' : ''}`;
    }),
  );
  return ['| drill | says | met |', '| --- | --- | --- |', ...lines].join('\n');
}

const FLIGHTS = 40;
const BAND_MPS = { calm: 1, light: 3.5, breezy: 6 };

/** Share of flights that met the drill, its sides and bands by turns. */
function metShare(drillId: DrillId, habits: readonly Habit[], pilotMode?: PilotedMode): number {
  const { bands = ['calm', 'light'] } = drillOf(drillId);
  const sides = habits[0] ? sidesShown(habits[0], drillId) : drillOf(drillId).sides;
  const met = Array.from({ length: FLIGHTS }, (_, i) => {
    return flyDrill(CRAFT, {
      drillId,
      side: sides[i % Math.max(1, sides.length)] ?? null,
      windMps: BAND_MPS[bands[i % bands.length]!],
      habits: new Set(habits),
      seed: 90 + 13 * i,
      ...(pilotMode ? { pilotMode } : {}),
    }).score.met;
  });
  return met.filter(Boolean).length / FLIGHTS;
}

/** The weakness's own habit through them, by turns on the sides on which it shows: each has its own chart. */
function sayHabits(): string {
  const lines = HABITS.flatMap((habit) =>
    missedBy(habit).map((drillId) => {
      const missed = 1 - metShare(drillId, [habit], HABIT_SHOWS[habit].mode);
      return `| ${habit} | ${drillId} | ${percent(missed)} |${missed < 0.9 ? ' ✗' : ''}`;
    }),
  );
  return ['| habit | drill | misses |', '| --- | --- | --- |', ...lines].join('\n');
}

/** What decides somewhere, by every mode that whoever flies it may usually fly in. */
const DECIDING = MEASURED_DRILLS.filter((id) => CAUSES.some(({ key }) => key.includes(id)));
const USUAL_MODES = ['position-hold', 'height-hold', 'self-level', 'rate'] as const;

/** Steady hands through what decides, in every mode in which it decides. */
function saySteady(): string {
  const lines = DECIDING.map((drillId) => {
    const cells = USUAL_MODES.map((mode) => (suits(drillId, mode) ? metShare(drillId, [], mode) : null));
    const isShort = cells.some((met) => met !== null && met < 0.9);
    return `| ${drillId} | ${cells.map((met) => (met === null ? '–' : percent(met))).join(' | ')} |${isShort ? ' ✗' : ''}`;
  });
  return [
    `| drill, met by steady hands who usually fly in | ${USUAL_MODES.join(' | ')} |`,
    `| --- | ${USUAL_MODES.map(() => '---').join(' | ')} |`,
    ...lines,
  ].join('\n');
}

/** @param only a part: `rule`, `takes`, `watch`, `null`, `lazy`, `habits` or `steady`; all where none is given */
export function sayTrust(only: string | undefined): string {
  const parts: readonly (readonly [id: string, title: string, say: () => string])[] = [
    ['rule', 'What the test lets through', sayRule],
    ['takes', 'What a competent pilot needs, by cause', sayTakes],
    ['watch', 'How long until the watch calls', sayWatch],
    ['null', 'Doing nothing', sayNull],
    ['lazy', 'Saying anything', sayLazy],
    ['habits', 'What a weakness misses', sayHabits],
    ['steady', 'What steady hands meet', saySteady],
  ];
  return parts
    .filter(([id]) => only === undefined || id === only)
    .map(([, title, say]) => `${title}\n\n${say()}`)
    .join('\n\n');
}
