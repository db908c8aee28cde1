import type { Roster } from '@skelby/core/pages/pages';
import { CLOCK } from '@skelby/core/schemas/session';
import { View } from 'react-native';
import { useUnits } from '../../shared/api/use-units';
import { Choice, LongChoice, ManyChoice } from '../../shared/forms/Choice';
import { Stepper } from '../../shared/forms/Stepper';
import { PickBox } from '../../shared/forms/PickBox';
import { lightProblem, MOST_PILOTS, type PlanningSession } from './use-plan-session';

const MOST_PACKS = 12;
const PACK_MINUTES = [3, 40] as const;
const MOST_WIND_MPS = 20;
const TIMES = [
  { value: 0, label: 'As it takes' },
  { value: 60, label: '1 h' },
  { value: 90, label: '1½ h' },
  { value: 120, label: '2 h' },
  { value: 180, label: '3 h' },
] as const;

interface FormProps extends Pick<PlanningSession, 'draft' | 'change' | 'inTraining' | 'pilotIds'> {
  readonly roster: Roster;
}

/** Passes a number on while it is one that may be. */
const within = (least: number, most: number, take: (value: number) => void) => (value: number | null) => {
  if (value !== null && value >= least && value <= most) take(value);
};

/** Who flies, with how many packs. */
function Who({ draft, change, inTraining, pilotIds, roster }: FormProps) {
  const lastSiteOf = (id: string | undefined) =>
    roster.pilots.find((pilot) => pilot.id === id)?.lastSiteId ?? null;
  return (
    <>
      <ManyChoice
        label={`Who flies (up to ${MOST_PILOTS})`}
        options={inTraining.map((pilot) => ({ value: pilot.id, label: pilot.name }))}
        values={pilotIds}
        onChange={(ids) =>
          change({
            pilotIds: ids.slice(0, MOST_PILOTS),
            moved: null,
            siteId: draft.siteId ?? lastSiteOf(ids[0]),
          })
        }
      />
      <Stepper
        label="Packs"
        unit=""
        value={draft.packs}
        step={1}
        least={1}
        most={MOST_PACKS}
        onChange={within(1, MOST_PACKS, (packs) => change({ packs: Math.round(packs), moved: null }))}
      />
      <Stepper
        label="Minutes of a pack, down to the reserve"
        unit="min"
        value={draft.packMinutes}
        step={1}
        least={PACK_MINUTES[0]}
        most={PACK_MINUTES[1]}
        onChange={within(...PACK_MINUTES, (packMinutes) => change({ packMinutes, moved: null }))}
      />
    </>
  );
}

/** Wind, place and hours. */
function Where({ draft, change, roster }: FormProps) {
  const units = useUnits();
  return (
    <>
      <Stepper
        label="Wind now"
        unit={units.unit('m/s')}
        value={units.from(draft.windMps, 'm/s')}
        step={0.5}
        least={0}
        most={units.from(MOST_WIND_MPS, 'm/s')}
        onChange={within(0, Infinity, (wind) =>
          change({ windMps: Math.min(MOST_WIND_MPS, units.to(wind, 'm/s')) }),
        )}
      />
      <LongChoice
        label="Site"
        options={roster.sites.map(({ id, name }) => ({ value: id, label: name }))}
        none="sites"
        value={draft.siteId}
        onChange={(siteId) => change({ siteId })}
      />
      <Choice
        label="Time there is"
        options={TIMES}
        value={draft.minutes ?? 0}
        onChange={(minutes) => change({ minutes: minutes === 0 ? null : minutes, moved: null })}
      />
      <PickBox
        kind="time"
        label="First take-off"
        value={draft.startsAt}
        onChange={(startsAt) => change({ startsAt })}
        error={CLOCK.test(draft.startsAt) ? undefined : 'First take-off is missing: give its time.'}
      />
      <PickBox
        kind="time"
        label="Light until"
        hint="Empty: light enough all day."
        value={draft.lightUntil ?? ''}
        onChange={(light) => change({ lightUntil: light === '' ? null : light, moved: null })}
        error={lightProblem(draft)}
      />
    </>
  );
}

/** What a session is planned from. */
export function SessionForm(props: FormProps) {
  return (
    <View style={{ gap: 18 }}>
      <Who {...props} />
      <Where {...props} />
    </View>
  );
}
