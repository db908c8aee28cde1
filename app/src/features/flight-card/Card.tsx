import { type CheckInWords, checkWords } from '@skelby/copy/checks';
import type { FlightCard, FlightToBe } from '@skelby/core/go-no-go/flight-to-be';
import { View } from 'react-native';
import { useUnits } from '../../shared/api/use-units';
import { STANDING_LINE } from '../../shared/copy/copy';
import { timeOnPaper } from '../../shared/copy/day-on-paper';
import { CheckRows, isInOrder } from '../../shared/forms/CheckRows';
import { themed } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';

const useStyles = themed((theme) => ({
  card: { borderWidth: 3, borderColor: theme.ink, padding: 16, gap: 14 },
  verdict: { fontSize: 44, lineHeight: 52 },
  line: { flexDirection: 'row', gap: 10 },
  mark: { width: 24 },
  figures: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 28, rowGap: 10 },
  figure: { minWidth: 128 },
  large: { fontSize: 26, lineHeight: 32 },
}));

/** What is in order, and what is not, each with what would make it go. */
function Checks({ checks }: { readonly checks: readonly CheckInWords[] }) {
  const styles = useStyles();
  const { sentence } = useUnits();
  return (
    <View style={{ gap: 4 }}>
      {checks.map((check) => (
        <View key={check.id} style={styles.line}>
          <Words as="strong" style={styles.mark} aria-label={check.go ? 'In order' : 'Not in order'}>
            {check.go ? '✓' : '✗'}
          </Words>
          <Words as={check.go ? 'body' : 'strong'} style={{ flex: 1 }}>
            {sentence(
              check.remedy ? `${check.words.replace(/\.$/, '')}: ${lowerFirst(check.remedy)}` : check.words,
            )}
          </Words>
        </View>
      ))}
    </View>
  );
}

const lowerFirst = (words: string): string => words.charAt(0).toLowerCase() + words.slice(1);

/** Beyond this a turn-back distance is said in tens of metres. */
const IN_TENS_M = 100;
const floorTo = (value: number, step: number) => Math.floor(value / step) * step;

/** The figures to take along. */
function Figures({ card, reservePct }: { readonly card: FlightCard; readonly reservePct: number }) {
  const styles = useStyles();
  const { say } = useUnits();
  const figures = [
    [
      'Turn back by',
      card.turnBackM === null
        ? 'not told'
        : say(floorTo(card.turnBackM, card.turnBackM > IN_TENS_M ? 10 : 1), 'm'),
    ],
    ['Return height', card.lostLink.returnHeightM === null ? 'none' : say(card.lostLink.returnHeightM, 'm')],
    ['Stand off at least', say(Math.ceil(card.standOffM), 'm')],
    ['Straight down, at most', say(card.descentLimitMps, 'm/s')],
    ['Nose read to', say(Math.floor(card.sightLimitM), 'm')],
    ['Land with', `${reservePct}\u00a0%`],
  ] as const;
  return (
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
  );
}

/** Go only when nothing speaks against it and everything was looked at. */
const verdictOf = ({ go }: FlightCard, open: number): string => {
  if (go === false) return 'No-go';
  return open > 0 ? `${open} to look at` : 'Go';
};

interface CardProps {
  readonly card: FlightCard;
  readonly flight: FlightToBe;
  readonly names: readonly string[];
  readonly restrictions: readonly string[];
  /** Ids of what somebody has looked at. */
  readonly seen: readonly string[];
  readonly onLook: (id: string) => void;
}

/** Go or no-go, why, and the figures of the flight. */
export function Card({ card, flight, names, restrictions, seen, onLook }: CardProps) {
  const styles = useStyles();
  const checks = card.checks.map((check) => checkWords(check));
  const asked = checks.filter(({ go }) => go === null);
  const open = asked.filter((check) => !isInOrder(check, seen));
  return (
    <View style={styles.card} role="region" aria-label="Flight card">
      <View>
        <Words as="title" role="status" style={styles.verdict}>
          {verdictOf(card, open.length)}
        </Words>
        <Words as="soft">{[...names, timeOnPaper(new Date().toISOString())].join(' · ')}</Words>
      </View>
      <Checks checks={checks.filter(({ go }) => go !== null)} />
      <CheckRows checks={asked} seen={seen} onToggle={onLook} />
      <Figures card={card} reservePct={flight.reservePct} />
      {restrictions.map((each) => (
        <Words key={each} as="strong">{`Until cleared: ${each}.`}</Words>
      ))}
      <Words as="soft">{`Animals and the craft itself are yours to judge. ${STANDING_LINE}`}</Words>
    </View>
  );
}
