import { causeWords } from '@skelby/copy/causes';
import type { Roster, TodayList } from '@skelby/core/pages/pages';
import { toPickFrom } from '@skelby/core/pages/people';
import { judgeWithPreFlight as withPreFlight } from '@skelby/core/go-no-go/pre-flight';
import { SPEED_SETTINGS } from '@skelby/core/vocabulary/craft-facts';
import { View } from 'react-native';
import { useToday } from '../../offline/overlay/today-queries';
import { useRoster } from '../../offline/overlay/use-roster';
import { useUnits } from '../../shared/api/use-units';
import { SETTING_WORDS } from '../../shared/copy/copy';
import { Choice, LongChoice } from '../../shared/forms/Choice';
import { Stepper } from '../../shared/forms/Stepper';
import { Button } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { PrintButton } from '../../shared/ui/PrintButton';
import { Part, Screen } from '../../shared/ui/Screen';
import { Card } from './Card';
import {
  type Chosen,
  isWithin,
  FORM_LIMITS,
  mayBeOpen,
  type NumberName,
  useFlightCard,
} from './use-flight-card';

const NOT_KNOWN = -1;
const WIND_FROM = [
  { value: NOT_KNOWN, label: 'Not known: against the way home' },
  { value: 0, label: 'Ahead' },
  { value: 45, label: 'Ahead, to the side' },
  { value: 90, label: 'Across' },
  { value: 135, label: 'Behind, to the side' },
  { value: 180, label: 'Behind' },
] as const;

interface FormProps extends Pick<ReturnType<typeof useFlightCard>, 'chosen' | 'put'> {
  readonly roster: Roster;
}

interface NumberProps extends Omit<FormProps, 'roster'> {
  readonly name: NumberName;
  readonly label: string;
  readonly si: string;
  readonly step: number;
}

/** One number of the form, in the school's units, with its limits. */
function NumberOf({ chosen, put, name, label, si, step }: NumberProps) {
  const { unit, from, to } = useUnits();
  const [least, most] = FORM_LIMITS[name].map((limit) => from(limit, si)) as [number, number];
  const value = chosen[name];
  return (
    <Stepper
      label={label}
      unit={unit(si)}
      value={value === null ? null : from(value, si)}
      step={step}
      least={least}
      most={most}
      error={
        isWithin(name, value) || (value === null && mayBeOpen(name))
          ? undefined
          : `${label}: give a number from ${upTo(least)} to ${downTo(most)} ${unit(si)}.`
      }
      onChange={(typed) => put({ [name]: typed === null ? null : to(typed, si) } as Partial<Chosen>)}
    />
  );
}

/** Limits to a tenth, rounded to the side that is let in: none is named that would be refused. */
const upTo = (limit: number): number => Math.ceil(limit * 10 - 1e-9) / 10;
const downTo = (limit: number): number => Math.floor(limit * 10 + 1e-9) / 10;

const optionsOf = (all: readonly { readonly id: string; readonly name: string }[]) =>
  all.map(({ id, name }) => ({ value: id, label: name }));

function WhoWhatWhere({
  chosen,
  put,
  roster,
  pickPilot,
}: FormProps & { readonly pickPilot: (pilotId: string) => void }) {
  return (
    <Part heading="Who, what, where">
      <LongChoice
        label="Pilot"
        options={optionsOf(toPickFrom(roster.pilots))}
        none="pilots"
        value={chosen.pilotId}
        onChange={pickPilot}
      />
      <LongChoice
        label="Craft"
        options={optionsOf(roster.craft)}
        none="craft"
        value={chosen.craftId}
        onChange={(craftId) => put({ craftId })}
      />
      <LongChoice
        label="Site"
        options={optionsOf(roster.sites)}
        none="sites"
        value={chosen.siteId}
        onChange={(siteId) => put({ siteId })}
      />
      <Choice
        label="Setting"
        options={SPEED_SETTINGS.map((value) => ({ value, label: SETTING_WORDS[value] }))}
        value={chosen.setting}
        onChange={(setting) => put({ setting })}
      />
    </Part>
  );
}

function TheDay({ chosen, put, onAnew }: Omit<FormProps, 'roster'> & { readonly onAnew: () => void }) {
  const form = { chosen, put };
  return (
    <Part heading="The day">
      <NumberOf {...form} name="windMps" label="Wind" si="m/s" step={0.5} />
      <NumberOf {...form} name="gustMps" label="Gusts" si="m/s" step={0.5} />
      <Choice
        label="Wind on the way out"
        options={WIND_FROM}
        value={chosen.windFromOutDeg ?? NOT_KNOWN}
        onChange={(value) => put({ windFromOutDeg: value === NOT_KNOWN ? null : value })}
      />
      <NumberOf {...form} name="farthestM" label="Farthest point" si="m" step={10} />
      <NumberOf {...form} name="chargePct" label="Battery" si="%" step={5} />
      <NumberOf {...form} name="reservePct" label="Land with" si="%" step={5} />
      <NumberOf {...form} name="heightM" label="Height flown" si="m" step={5} />
      <NumberOf {...form} name="heightLimitM" label="Height limit here" si="m" step={10} />
      <NumberOf {...form} name="nearestM" label="Nearest thing to hit" si="m" step={5} />
      <NumberOf {...form} name="peopleM" label="Nearest person with no part in it" si="m" step={5} />
      <NumberOf {...form} name="visibilityM" label="Visibility" si="m" step={500} />
      <NumberOf {...form} name="lightMin" label="Light left" si="min" step={15} />
      <Choice
        label="Rain, fog or spray"
        options={[
          { value: false, label: 'None' },
          { value: true, label: 'Some' },
        ]}
        value={chosen.rain}
        onChange={(rain) => put({ rain })}
      />
      <Button kind="quiet" label="Start anew" onPress={onAnew} />
    </Part>
  );
}

function FlightCardForm({ roster, today }: { readonly roster: Roster; readonly today: TodayList }) {
  const { chosen, put, look, pickPilot, anew, open, names, flight } = useFlightCard(roster, today);
  return (
    <Screen
      title="Flight card"
      up="/sums"
      aside={
        <View nativeID="skelby-print" style={{ gap: 16 }}>
          {flight ? (
            <Card
              card={withPreFlight(flight)}
              seen={chosen.seen}
              onLook={look}
              flight={flight}
              names={[...names, SETTING_WORDS[chosen.setting].toLowerCase()]}
              restrictions={open.map((each) => causeWords(each.causeId).restriction)}
            />
          ) : (
            <Note icon="info" heading="Not complete">
              Pick pilot, craft and site, and give every number.
            </Note>
          )}
        </View>
      }
      foot={flight ? <PrintButton label="Print the card" /> : undefined}
    >
      <WhoWhatWhere chosen={chosen} put={put} roster={roster} pickPilot={pickPilot} />
      <TheDay chosen={chosen} put={put} onAnew={anew} />
    </Screen>
  );
}

/** Go or no-go for one flight: the figures to take along, on one card. */
export function FlightCardScreen() {
  const roster = useRoster();
  const today = useToday();
  return (
    <Loaded query={roster} title="Flight card" up="/sums">
      {(data) => (
        <Loaded query={today} title="Flight card" up="/sums">
          {(list) => <FlightCardForm roster={data} today={list} />}
        </Loaded>
      )}
    </Loaded>
  );
}
