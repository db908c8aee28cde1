import { View } from 'react-native';
import { type Speaking, useUnits } from '../api/use-units';
import { Button, ButtonRow } from '../ui/Button';
import { Note } from '../ui/Note';
import type { FormQuestion } from './form-question';
import { themed } from '../ui/theme';
import { Words } from '../ui/Words';

const useStyles = themed((theme) => ({
  line: { borderTopWidth: 2, borderTopColor: theme.rule, paddingVertical: 10, gap: 4 },
  sides: { flexDirection: 'row', gap: 16 },
  side: { flex: 1, gap: 2 },
}));

const NOTHING = '–';

/** A value as it is, where its question says no more of it. */
function plainly(value: unknown): string {
  if (typeof value === 'boolean') return value ? 'Yes' : 'No';
  return typeof value === 'string' || typeof value === 'number' ? String(value) : JSON.stringify(value);
}

function inWords(value: unknown, question: FormQuestion | undefined, { say }: Speaking): string {
  if (question?.ask === 'told') return question.inWords(value);
  if (value === null || value === undefined || value === '') return NOTHING;
  switch (question?.ask) {
    case 'choice':
      return question.options.find((option) => option.value === value)?.label ?? String(value);
    case 'many': {
      const labels = (value as readonly string[]).map(
        (each) => question.options.find((option) => option.value === each)?.label ?? each,
      );
      return labels.join(', ') || NOTHING;
    }
    case 'number':
      return question.si && typeof value === 'number' ? say(value, question.si) : plainly(value);
    default:
      return plainly(value);
  }
}

interface BothVersionsProps {
  readonly by: string | null;
  readonly mine: Readonly<Record<string, unknown>>;
  readonly theirs: Readonly<Record<string, unknown>>;
  readonly questions: readonly FormQuestion[];
  readonly onMine: () => void;
  readonly onTheirs: () => void;
}

/** Two people changed the same thing: what differs, side by side, to choose from. */
export function BothVersions({ by, mine, theirs, questions, onMine, onTheirs }: BothVersionsProps) {
  const styles = useStyles();
  const units = useUnits();
  const questionOf = (name: string) => questions.find((each) => each.name === name);
  const said = (value: unknown, name: string) =>
    questionOf(name) ? inWords(value, questionOf(name), units) : JSON.stringify(value ?? null);
  const differing = Object.keys(theirs).filter(
    (name) => name in mine && said(mine[name], name) !== said(theirs[name], name),
  );
  return (
    <View style={{ gap: 12 }}>
      <Note icon="users" heading={`${by ?? 'Somebody'} changed this meanwhile`} live>
        Both versions are here. Choose; the other stays in the history.
      </Note>
      {differing.map((name) => {
        const question = questionOf(name);
        return (
          <View key={name} style={styles.line}>
            <Words as="strong">{question?.label ?? name}</Words>
            <View style={styles.sides}>
              <View style={styles.side}>
                <Words as="soft">Yours</Words>
                <Words>{inWords(mine[name], question, units)}</Words>
              </View>
              <View style={styles.side}>
                <Words as="soft">{by ?? 'Theirs'}</Words>
                <Words>{inWords(theirs[name], question, units)}</Words>
              </View>
            </View>
          </View>
        );
      })}
      <ButtonRow>
        <Button kind="solid" label="Keep mine" onPress={onMine} />
        <Button label="Take theirs" onPress={onTheirs} />
      </ButtonRow>
    </View>
  );
}
