import {
  type OwnSakeFlight,
  OWN_SAKE_FLIGHTS,
  ownSakeFlight,
} from '@skelby/core/assessment/for-its-own-sake';
import { practiceLinkShape } from '@skelby/core/schemas/practice-link';
import { type CraftRecord, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import { useLocalSearchParams } from 'expo-router';
import { useMemo, useState } from 'react';
import { useRoster } from '../../offline/overlay/use-roster';
import { MODE_WORDS, STANDING_LINE } from '../../shared/copy/copy';
import { Note } from '../../shared/ui/Note';
import { Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { AllChoices } from './AllChoices';
import { ControllerPart } from './ControllerPart';
import { Fly } from './Fly';
import type { Scored } from './practice-messages';
import { type PracticeSettings, setAnew, settingsFrom } from './settings';
import { useTilt } from './tilt';
import { useGhostOf } from './use-ghost-of';
import { useChosen } from './use-practice';

const NO_SIDES = { sides: [] };

const WORDS: Readonly<Record<OwnSakeFlight, { readonly title: string; readonly byEye: string }>> = {
  free: {
    title: 'Free flight',
    byEye: 'Nothing is judged. Take off, fly as you like, come down when you like.',
  },
  lap: {
    title: 'A lap of gates',
    byEye: 'Four gates, once round. The clock starts at the first one and stops there again.',
  },
};

/** Laps are held beside each other where mode, wind and craft are the same. */
const lapName = ({ mode, windMps, gusts, around }: PracticeSettings, craftId: string | null): string =>
  ['lap', mode, windMps, gusts, around, craftId ?? 'usual'].join(' ');

const secondsWords = (seconds: number): string => `${seconds.toFixed(1)} s`;

interface LapTold {
  readonly lapS: number;
  readonly before: number | null;
}

function lapWords({ lapS, before }: LapTold): string {
  if (before === null) return 'The first one, and so the best.';
  return lapS < before
    ? `Your best: it was ${secondsWords(before)}.`
    : `Your best stays ${secondsWords(before)}.`;
}

interface SaysProps {
  readonly id: OwnSakeFlight;
  readonly scored: Scored;
  readonly told: LapTold | null;
}

/** What there is to say of a flight that nobody judges. */
function Says({ id, scored: { lapS, unlike, ended, score }, told }: SaysProps) {
  if (score.over === 'at-pilot') return <Words as="heading">It came at you: keep it further off.</Words>;
  if (id === 'free')
    return <Words as="heading">{ended ? 'It ended there.' : 'Twenty minutes: enough.'}</Words>;
  if (lapS === null) return <Words as="heading">No lap: it was not flown to its end.</Words>;
  return (
    <>
      <Words as="title" role="status">
        {secondsWords(lapS)}
      </Words>
      <Words>{unlike || !told ? 'Frozen, slowed or taken over: no time to keep.' : lapWords(told)}</Words>
    </>
  );
}

function OwnSake({ id }: { readonly id: OwnSakeFlight }) {
  const roster = useRoster().data;
  const { chosen, choose } = useChosen({});
  const [changed, setChanged] = useState<Partial<PracticeSettings>>({});
  const [isWhole, setWhole] = useState(false);
  const [told, setTold] = useState<LapTold | null>(null);
  const tilt = useTilt();
  const crafts = roster?.craft ?? [];
  const craft: CraftRecord = crafts.find((each) => each.id === chosen.craftId) ?? USUAL_CRAFT;
  const set = useMemo(() => ownSakeFlight(id, craft.mode), [id, craft.mode]);
  const settings = useMemo(
    () => ({ ...settingsFrom(practiceLinkShape.cast({}), NO_SIDES, set), ...changed }),
    [set, changed],
  );
  const change = (part: Partial<PracticeSettings>) => setChanged((last) => ({ ...last, ...part }));
  const ghost = useGhostOf(chosen.ghost, set.course, lapName(settings, chosen.craftId));
  const onScored = ({ lapS, unlike, replay }: Scored) =>
    setTold(lapS === null || unlike ? null : { lapS, before: ghost.keep(lapS, replay) });
  const isLap = id === 'lap';
  const best = isLap ? ghost.best : null;
  const choices = (
    <AllChoices
      {...{ chosen, choose, settings, craft, crafts, tilt }}
      drill={NO_SIDES}
      hasBest={isLap ? best !== null : null}
      onChange={change}
    />
  );
  return (
    <Screen
      title={WORDS[id].title}
      under={
        best === null
          ? 'Nothing is judged, nothing is recorded'
          : `Best in ${MODE_WORDS[settings.mode].toLowerCase()}, this craft and wind: ${secondsWords(best)}`
      }
      up="/drills"
      aside={
        <>
          {isWhole ? null : choices}
          <ControllerPart />
          <Words as="soft">{STANDING_LINE}</Words>
        </>
      }
    >
      <Fly
        key={setAnew(settings, craft)}
        drill={{ id, byEye: WORDS[id].byEye }}
        course={set.course}
        setUp={set.setUp}
        craft={craft}
        settings={settings}
        layout={chosen.layout}
        tilt={tilt}
        volume={chosen.volume}
        onRelative={(relative) => change({ relative })}
        onScored={onScored}
        ghost={isLap ? ghost.path : null}
        choices={choices}
        onWhole={setWhole}
        says={(scored) => <Says id={id} scored={scored} told={told} />}
      />
    </Screen>
  );
}

/** Flights that people come back for: nothing is judged, and nothing counts. */
export function OwnSakeScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const flight = OWN_SAKE_FLIGHTS.find((each) => each === id);
  return flight ? (
    <OwnSake key={flight} id={flight} />
  ) : (
    <Screen title="Simulator" up="/drills">
      <Note icon="help-circle" heading="Not here">
        There is free flight, and a lap of gates.
      </Note>
    </Screen>
  );
}
