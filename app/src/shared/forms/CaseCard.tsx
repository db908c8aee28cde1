import type { DrillCase } from '@skelby/core/drill-cases/case';
import { View } from 'react-native';
import { useSentence } from '../api/use-sentence';
import { themed } from '../ui/theme';
import { Words } from '../ui/Words';

const useStyles = themed((theme) => ({
  card: { borderWidth: 2, borderColor: theme.ink, padding: 12, gap: 6 },
}));

/** The case of the next attempt, for the trainer's eyes: what is read out or set up, and what is right. */
export function CaseCard({ drawn }: { readonly drawn: DrillCase }) {
  const styles = useStyles();
  const inWords = useSentence();
  return (
    <View style={styles.card} role="region" aria-label="Case drawn by lot">
      <Words as="strong">{inWords(drawn.says)}</Words>
      <Words as="soft">{`Right, for you alone: ${inWords(drawn.answer)}`}</Words>
      <Words as="soft">At the craft, you beside the pilot.</Words>
    </View>
  );
}
