import { causeOf } from '@skelby/core/causes/causes';
import {
  craftFacts,
  SPEED_SETTINGS,
  type SpeedSetting,
  USUAL_CRAFT,
} from '@skelby/core/vocabulary/craft-facts';
import { RESERVE_PCT } from '@skelby/core/reconstruct/energy-home';
import { FAILSAFE_WORDS } from '@skelby/core/reconstruct/return-height';
import { reserveOf, windLimitUnder } from '@skelby/core/restrictions/restrictions';
import { type FlightCard, flightCard, type FlightToBe } from '@skelby/core/sums/go-no-go';
import { useState } from 'react';
import { View } from 'react-native';
import type { Roster, TodayList } from '@skelby/core/pages/pages';
import { useUnits } from '../../shared/api/use-units';
import { useRoster } from '../../offline/overlay/use-roster';
import { keep, kept } from '../../shared/storage/storage';
import { useToday } from '../../offline/overlay/today-queries';
import { Button } from '../../shared/ui/Button';
import { Choice, LongChoice } from '../../shared/forms/Choice';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { PrintButton } from '../../shared/ui/PrintButton';
import { Part, Screen } from '../../shared/ui/Screen';
import { Stepper } from '../../shared/forms/Stepper';
import { themed } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';
import { sayTime } from '../../shared/copy/dates';
import { SETTING_WORDS, STANDING_LINE } from '../../shared/copy/copy';

const NAME = 'flight-card';

interface Chosen {
  readonly pilotId: string | null;
  readonly craftId: string | null;
  readonly siteId: string | null;
  readonly setting: SpeedSetting;
  readonly windMps: number | null;
  readonly gustMps: number | null;
  readonly windFromOutDeg: number;
  readonly farthestM: number | null;
  readonly chargePct: number | null;
  readonly reservePct: number | null;
  readonly visibilityM: number | null;
  readonly rain: boolean;
}

const FRESH: Chosen = {
  pilotId: null,
  craftId: null,
  siteId: null,
  setting: 'normal',
  windMps: 3,
  gustMps: 5,
  windFromOutDeg: 0,
  farthestM: 50,
  chargePct: 100,
  reservePct: RESERVE_PCT,
  visibilityM: 5000,
  rain: false,
};

const useStyles = themed((theme) => ({
  card: { borderWidth: 3, borderColor: theme.ink, padding: 16, gap: 14 },
  verdict: { fontSize: 44, lineHeight: 52 },
  line: { flexDirection: 'row', gap: 10 },
  mark: { width: 24 },
  figures: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 28, rowGap: 10 },
  figure: { minWidth: 128 },
  large: { fontSize: 26, lineHeight: 32 },
}));

const WIND_FROM = [
  { value: 0, label: 'Ahead' },
  { value: 45, label: 'Ahead, to the side' },
  { value: 90, label: 'Across' },
  { value: 135, label: 'Behind, to the side' },
  { value: 180, label: 'Behind' },
] as const;

function Card({
  card,
  flight,
  names,
  restrictions,
}: {
  readonly card: FlightCard;
  readonly flight: FlightToBe;
  readonly names: readonly string[];
  readonly restrictions: readonly string[];
}) {
  const styles = useStyles();
  const { say, sentence } = useUnits();
  const figures = [
    [
      'Turn back by',
      say(card.turnBackM > 100 ? Math.floor(card.turnBackM / 10) * 10 : Math.floor(card.turnBackM), 'm'),
    ],
    ['Return height', say(card.returnHeightM, 'm')],
    ['Stand off at least', say(Math.ceil(card.standOffM), 'm')],
    ['Straight down, at most', say(card.descentLimitMps, 'm/s')],
    ['Nose read to', say(Math.floor(card.sightLimitM), 'm')],
    ['Land with', `${flight.reservePct}\u00a0%`],
  ] as const;
  return (
    <View style={styles.card} role="region" aria-label="Flight card">
      <View>
        <Words as="title" role="status" style={styles.verdict}>
          {card.go ? 'Go' : 'No-go'}
        </Words>
        <Words as="soft">{[...names, sayTime(new Date().toISOString())].join(' · ')}</Words>
      </View>
      <View style={{ gap: 4 }}>
        {card.checks.map((check) => (
          <View key={check.id} style={styles.line}>
            <Words as="strong" style={styles.mark} aria-label={check.go ? 'In order' : 'Not in order'}>
              {check.go ? '✓' : '✗'}
            </Words>
            <Words as={check.go ? 'body' : 'strong'} style={{ flex: 1 }}>
              {sentence(check.words)}
            </Words>
          </View>
        ))}
      </View>
      <View style={styles.figures}>
        {figures.map(([label, value]) => (
          <View key={label} style={styles.figure}>
            <Words as="soft">{label}</Words>
            <Words as="figure" style={styles.large}>
              {value}
            </Words>
          </View>
        ))}
      </View>
      <Words>{`On a lost link: ${FAILSAFE_WORDS[card.failsafe.action]}. ${card.failsafe.why}`}</Words>
      {restrictions.map((each) => (
        <Words key={each} as="strong">{`Until cleared: ${each}.`}</Words>
      ))}
      <Words as="soft">{`People, animals, light and the craft itself are yours to judge. ${STANDING_LINE}`}</Words>
    </View>
  );
}

function FlightCardForm({ roster, today }: { readonly roster: Roster; readonly today: TodayList }) {
  const { unit, from, to } = useUnits();
  const [chosen, setChosen] = useState<Chosen>(() => ({ ...FRESH, ...kept<Partial<Chosen>>(NAME) }));
  const put = (part: Partial<Chosen>) =>
    setChosen((last) => {
      const next = { ...last, ...part };
      keep(NAME, next);
      return next;
    });
  const pilot = roster.pilots.find((each) => each.id === chosen.pilotId);
  const craft = roster.craft.find((each) => each.id === chosen.craftId);
  const site = roster.sites.find((each) => each.id === chosen.siteId);
  const open = pilot
    ? today.weaknesses.filter((each) => each.pilotId === pilot.id && each.state !== 'watch')
    : [];
  const pickPilot = (pilotId: string) => {
    const picked = roster.pilots.find((each) => each.id === pilotId);
    put({
      pilotId,
      craftId: picked?.lastCraftId ?? chosen.craftId,
      siteId: picked?.lastSiteId ?? chosen.siteId,
    });
  };
  const number = (
    name: 'windMps' | 'gustMps' | 'farthestM' | 'chargePct' | 'reservePct' | 'visibilityM',
    label: string,
    si: string,
    step: number,
    least: number,
    most: number,
  ) => (
    <Stepper
      label={label}
      unit={unit(si)}
      value={chosen[name] === null ? null : from(chosen[name], si)}
      step={step}
      least={from(least, si)}
      most={from(most, si)}
      error={
        chosen[name] === null || chosen[name] < least || chosen[name] > most
          ? `${label}: give a number from ${Math.round(from(least, si))} to ${Math.round(from(most, si))} ${unit(si)}.`
          : undefined
      }
      onChange={(value) => put({ [name]: value === null ? null : to(value, si) })}
    />
  );
  const { windMps, gustMps, farthestM, chargePct, reservePct, visibilityM } = chosen;
  const inLimits =
    windMps !== null &&
    windMps >= 0 &&
    windMps <= 30 &&
    gustMps !== null &&
    gustMps >= 0 &&
    gustMps <= 40 &&
    farthestM !== null &&
    farthestM >= 1 &&
    farthestM <= 20_000 &&
    chargePct !== null &&
    chargePct >= 0 &&
    chargePct <= 100 &&
    reservePct !== null &&
    reservePct >= 0 &&
    reservePct <= 60 &&
    visibilityM !== null &&
    visibilityM >= 10 &&
    visibilityM <= 50_000;
  const flight: FlightToBe | null =
    pilot && craft && site && inLimits
      ? {
          craft: craftFacts(craft ?? USUAL_CRAFT),
          setting: chosen.setting,
          windLimitMps: windLimitUnder(open, pilot.windLimitMps),
          place: site.place,
          tallestM: site.tallestM,
          windMps,
          gustMps,
          windFromOutDeg: chosen.windFromOutDeg,
          farthestM,
          chargePct,
          reservePct: reserveOf(open, reservePct),
          altitudeM: site.altitudeM ?? 0,
          visibilityM,
          rain: chosen.rain,
          weaknesses: open,
        }
      : null;
  const options = (all: readonly { readonly id: string; readonly name: string }[]) =>
    all.map(({ id, name }) => ({ value: id, label: name }));
  return (
    <Screen
      title="Go or no-go"
      up="/sums"
      aside={
        <View nativeID="skelby-print" style={{ gap: 16 }}>
          {flight ? (
            <Card
              card={flightCard(flight)}
              flight={flight}
              names={[pilot!.name, craft!.name, site!.name, SETTING_WORDS[chosen.setting].toLowerCase()]}
              restrictions={open.map((each) => causeOf(each.causeId).restriction)}
            />
          ) : (
            <Note icon="info" heading="Not complete">
              Pick pilot, craft and site, and give every number; the card is worked out as you go.
            </Note>
          )}
        </View>
      }
      foot={flight ? <PrintButton label="Print the card" /> : undefined}
    >
      <Part heading="Who, what, where">
        <LongChoice
          label="Pilot"
          options={options(roster.pilots)}
          value={chosen.pilotId}
          onChange={pickPilot}
        />
        <LongChoice
          label="Craft"
          options={options(roster.craft)}
          value={chosen.craftId}
          onChange={(craftId) => put({ craftId })}
        />
        <LongChoice
          label="Site"
          options={options(roster.sites)}
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
      <Part heading="The day">
        {number('windMps', 'Wind', 'm/s', 0.5, 0, 30)}
        {number('gustMps', 'Gusts', 'm/s', 0.5, 0, 40)}
        <Choice
          label="Wind on the way out"
          options={WIND_FROM}
          value={chosen.windFromOutDeg}
          onChange={(windFromOutDeg) => put({ windFromOutDeg })}
        />
        {number('farthestM', 'Farthest point', 'm', 10, 1, 20_000)}
        {number('chargePct', 'Battery', '%', 5, 0, 100)}
        {number('reservePct', 'Land with', '%', 5, 0, 60)}
        {number('visibilityM', 'Visibility', 'm', 500, 10, 50_000)}
        <Choice
          label="Rain, fog or spray"
          options={[
            { value: false, label: 'None' },
            { value: true, label: 'Some' },
          ]}
          value={chosen.rain}
          onChange={(rain) => put({ rain })}
        />
        <Button kind="quiet" label="Start anew" onPress={() => put(FRESH)} />
      </Part>
    </Screen>
  );
}

/** Go or no-go for one flight: the figures to take along, on one card. */
export function FlightCardScreen() {
  const roster = useRoster();
  const today = useToday();
  return (
    <Loaded query={roster} title="Go or no-go" up="/sums">
      {(data) => (
        <Loaded query={today} title="Go or no-go" up="/sums">
          {(list) => <FlightCardForm roster={data} today={list} />}
        </Loaded>
      )}
    </Loaded>
  );
}
