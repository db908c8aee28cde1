import { questionWords } from '@skelby/copy/questions';
import { said } from '@skelby/copy/say';
import { causeWords } from '@skelby/copy/causes';
import { percentChance } from '@skelby/core/vocabulary/percent';
import type { QuestionId } from '@skelby/core/evidence/questions';
import type { RankedCause, Ranking, Reason } from '@skelby/core/ranking/rank';
import { LIKELY_FROM } from '@skelby/core/ranking/stance';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { Button } from '../../shared/ui/Button';
import { PressRow, Rows } from '../../shared/ui/Rows';
import { Part } from '../../shared/ui/Screen';
import { themed, TOUCH } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';

const useStyles = themed((theme) => ({
  cause: { borderTopWidth: 2, borderTopColor: theme.ink, paddingVertical: 10, gap: 6 },
  head: { flexDirection: 'row', gap: 10, alignItems: 'center', minHeight: TOUCH },
  bar: { height: 14, borderWidth: 2, borderColor: theme.ink, backgroundColor: theme.ground },
  fill: { height: 10, backgroundColor: theme.ink },
  strip: { paddingTop: 4 },
  stripLine: { flexDirection: 'row', gap: 8 },
  stripBar: { height: 6, backgroundColor: theme.shade },
  stripFill: { height: 6, backgroundColor: theme.ink },
  stripWords: { fontSize: 16, lineHeight: 22 },
  reason: { flexDirection: 'row', gap: 10 },
  factor: { width: 58, textAlign: 'right' },
}));

const TOP = 3;
const STRONG = 1.2;
const SLIGHT = 0.4;

const strength = (weight: number): string => {
  const size = Math.abs(weight);
  const how = size >= STRONG ? 'strongly ' : size < SLIGHT ? 'slightly ' : '';
  return `${how}${weight > 0 ? 'for' : 'against'}`;
};

/** How many times likelier (or unlikelier) it makes the cause. */
const factor = (weight: number): string =>
  `${weight > 0 ? '×' : '÷'}${Math.exp(Math.abs(weight)).toFixed(1)}`;

function ReasonLine({ reason }: { readonly reason: Reason }) {
  const styles = useStyles();
  return (
    <View style={styles.reason}>
      <Words as="strong" style={styles.factor}>
        {factor(reason.weight)}
      </Words>
      <Words style={{ flex: 1 }}>
        {`${said(reason.said)} `}
        <Words as="soft">{`(${strength(reason.weight)})`}</Words>
      </Words>
    </View>
  );
}

const SHOWN = 4;

function CauseCard({ cause, startOpen }: { readonly cause: RankedCause; readonly startOpen: boolean }) {
  const styles = useStyles();
  const [isOpen, setOpen] = useState(startOpen);
  const [all, setAll] = useState(false);
  const { name } = causeWords(cause.id);
  const reasons = all ? cause.reasons : cause.reasons.slice(0, SHOWN);
  return (
    <View style={styles.cause}>
      <Pressable role="button" aria-expanded={isOpen} onPress={() => setOpen(!isOpen)} style={styles.head}>
        <Words as="strong" style={{ flex: 1 }}>
          {name}
        </Words>
        <Words as="strong">{percentChance(cause.probability)}</Words>
      </Pressable>
      {cause.chain[1] ? (
        <Words as="soft">{`and from it: ${causeWords(cause.chain[1]).name.toLowerCase()}`}</Words>
      ) : null}
      <View style={styles.bar} aria-hidden>
        <View style={[styles.fill, { width: `${Math.max(1, cause.probability * 100)}%` }]} />
      </View>
      {isOpen ? (
        <View style={{ gap: 4 }}>
          {reasons.length === 0 ? (
            <Words as="soft">Nothing told speaks for or against it.</Words>
          ) : (
            reasons.map((reason) => <ReasonLine key={reason.sign ?? reason.evidence} reason={reason} />)
          )}
          {cause.reasons.length > SHOWN ? (
            <Button
              kind="quiet"
              label={all ? 'Fewer reasons' : `All ${cause.reasons.length} reasons`}
              onPress={() => setAll(!all)}
              says={`${all ? 'Fewer reasons' : `All ${cause.reasons.length} reasons`} for ${name}`}
            />
          ) : null}
        </View>
      ) : null}
    </View>
  );
}

/** The first three at a glance, so that each answer is seen to move them. */
export function RankingStrip({ ranking }: { readonly ranking: Ranking }) {
  const styles = useStyles();
  return (
    <View
      role="status"
      aria-label={`First three: ${ranking.causes
        .slice(0, TOP)
        .map((cause) => `${causeWords(cause.id).name} ${percentChance(cause.probability)}`)
        .join(', ')}`}
    >
      {ranking.causes.slice(0, TOP).map((cause) => (
        <View key={cause.id} style={styles.strip}>
          <View style={styles.stripLine}>
            <Words style={[styles.stripWords, { flex: 1 }]} numberOfLines={1}>
              {causeWords(cause.id).name}
            </Words>
            <Words as="strong" style={styles.stripWords}>
              {percentChance(cause.probability)}
            </Words>
          </View>
          <View style={styles.stripBar}>
            <View style={[styles.stripFill, { width: `${cause.probability * 100}%` }]} />
          </View>
        </View>
      ))}
    </View>
  );
}

const STANCE_WORDS = {
  'not-known': 'Not known yet: too little speaks for any one cause. Ask on.',
  leaning: 'Leaning, not sure.',
  unasked: 'It leans so far already; what is always asked is still to come.',
  likely: 'Likely. The decision is yours.',
} as const;
const stanceWords = ({ stance, causes }: Ranking): string =>
  STANCE_WORDS[stance === 'leaning' && causes[0]!.probability >= LIKELY_FROM ? 'unasked' : stance];

const WORTH_ASKING = 0.05;
const NOTABLE = 0.3;

const worth = (gain: number): string =>
  gain >= 0.4 ? 'would tell much' : gain >= 0.15 ? 'would tell some' : 'would tell a little';

interface RankingPanelProps {
  readonly ranking: Ranking;
  readonly onAsk: (questionId: QuestionId) => void;
}

/** Every cause with its probability, the first three with their reasons, and what would change it. */
export function RankingPanel({ ranking, onAsk }: RankingPanelProps) {
  const [all, setAll] = useState(false);
  const beside = ranking.conditions.filter((each) => each.probability >= NOTABLE);
  const next = ranking.nextQuestions.filter(({ gain, isCore }) => isCore || gain >= WORTH_ASKING).slice(0, 3);
  return (
    <>
      <Part heading="What the answers say">
        <Words role="status">{stanceWords(ranking)}</Words>
        <View>
          {ranking.causes.slice(0, TOP).map((cause) => (
            <CauseCard key={cause.id} cause={cause} startOpen />
          ))}
          {all
            ? ranking.causes
                .slice(TOP)
                .map((cause) => <CauseCard key={cause.id} cause={cause} startOpen={false} />)
            : null}
        </View>
        {beside.length > 0 ? (
          <Words as="soft">{`Beside it: ${beside.map((each) => `${causeWords(each.id).name.toLowerCase()} ${percentChance(each.probability)}`).join(', ')}.`}</Words>
        ) : null}
        <Button
          kind="quiet"
          label={all ? 'Only the first three' : `All ${ranking.causes.length} causes`}
          onPress={() => setAll(!all)}
        />
      </Part>
      <Part heading="What would change this">
        <Rows empty="No open question would change it much.">
          {next.map(({ id, gain }) => (
            <PressRow
              key={id}
              title={questionWords(id).ask}
              under={gain >= WORTH_ASKING ? worth(gain) : 'always asked'}
              onPress={() => onAsk(id)}
            />
          ))}
        </Rows>
      </Part>
    </>
  );
}
