import { craftCard, type Holds, type SettingLine } from '@skelby/core/go-no-go/craft-card';
import type { Craft } from '@skelby/core/pages/pages';
import { craftFacts } from '@skelby/core/vocabulary/craft-facts';
import { View } from 'react-native';
import { useRoster } from '../../offline/overlay/use-roster';
import { useUnits } from '../../shared/api/use-units';
import { MODE_WORDS, STANDING_LINE } from '../../shared/copy/copy';
import { Loaded } from '../../shared/ui/Loaded';
import { PrintButton } from '../../shared/ui/PrintButton';
import { Screen } from '../../shared/ui/Screen';
import { themed } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';

const useStyles = themed((theme) => ({
  card: { borderWidth: 3, borderColor: theme.ink, padding: 16, gap: 10 },
  line: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 18, rowGap: 2 },
  name: { minWidth: 96 },
}));

const HOLDS_WORDS: Readonly<Record<Holds, string>> = {
  place: 'holds place and height; let go, it stops',
  height: 'holds height; let go, it drifts on, level',
  level: 'holds level; let go, it drifts on and sinks or climbs',
  nothing: 'holds nothing; let go, it stays as it leans',
};
const SETTING_NAMES = { slow: 'Slow', normal: 'Normal', fast: 'Fast' } as const;
const SENSOR_WORDS = ({ sensorsOn }: SettingLine): string =>
  sensorsOn === null ? 'no sensors' : sensorsOn ? 'sensors on' : 'sensors OFF';

function OneCard({ craft }: { readonly craft: Craft }) {
  const styles = useStyles();
  const { say } = useUnits();
  const { settings, modes, noseReadM } = craftCard(craftFacts(craft));
  return (
    <View style={styles.card} role="region" aria-label={`Card of ${craft.name}`}>
      <Words as="heading">{craft.name}</Words>
      {settings.map((line) => (
        <View key={line.setting} style={styles.line}>
          <Words as="strong" style={styles.name}>
            {SETTING_NAMES[line.setting]}
          </Words>
          <Words>
            {[
              `top ${say(Math.round(line.topSpeedMps * 10) / 10, 'm/s')}`,
              `stops in ${say(Math.ceil(line.stopM), 'm')}`,
              line.releasedM === null ? null : `let go ${say(Math.ceil(line.releasedM), 'm')}`,
              SENSOR_WORDS(line),
            ]
              .filter(Boolean)
              .join(' · ')}
          </Words>
        </View>
      ))}
      {modes.map(({ mode, holds }) => (
        <View key={mode} style={styles.line}>
          <Words as="strong" style={styles.name}>
            {MODE_WORDS[mode]}
          </Words>
          <Words>{HOLDS_WORDS[holds]}</Words>
        </View>
      ))}
      <Words as="soft">{`Nose read to ${say(Math.floor(noseReadM), 'm')}. Stops are from top speed, with 1.5 s to react: measure yours.`}</Words>
    </View>
  );
}

/** What every pilot should know of each craft by heart, to print and keep with it. */
export function CraftCards() {
  const roster = useRoster();
  return (
    <Loaded query={roster} title="Craft cards" up="/kit">
      {({ craft }) => (
        <Screen title="Craft cards" up="/kit" foot={<PrintButton label="Print the cards" />}>
          {craft.length === 0 ? <Words as="soft">No craft yet: add the one you teach on.</Words> : null}
          {craft.map((each) => (
            <OneCard key={each.id} craft={each} />
          ))}
          <Words as="soft">{STANDING_LINE}</Words>
        </Screen>
      )}
    </Loaded>
  );
}
