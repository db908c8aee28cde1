import { causeWords } from '@skelby/copy/causes';
import { firstBreakable, type Link } from '@skelby/core/debrief/chain';
import { Pressable, View } from 'react-native';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { TextBox } from '../../shared/forms/TextBox';
import { themed, TOUCH } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';
import { offerUndo } from '../../shared/ui/undo';

const useStyles = themed((theme) => ({
  link: { flexDirection: 'row', gap: 12 },
  rail: { width: 30, alignItems: 'center' },
  dot: {
    width: 22,
    height: 22,
    borderRadius: 11,
    borderWidth: 3,
    borderColor: theme.ink,
    backgroundColor: theme.ground,
    marginTop: 36,
  },
  breaks: { backgroundColor: theme.ink },
  line: { flex: 1, width: 4, backgroundColor: theme.rule },
  body: { flex: 1, minWidth: 0, gap: 8, paddingBottom: 16 },
  mark: { minHeight: TOUCH, flexDirection: 'row', alignItems: 'center', gap: 10 },
  box: {
    width: 26,
    height: 26,
    borderWidth: 3,
    borderColor: theme.ink,
    alignItems: 'center',
    justifyContent: 'center',
  },
}));

const LONGEST = 160;

/** The chain as a line to read: where the drills go is marked. */
export function ChainLine({ chain }: { readonly chain: readonly Link[] }) {
  const styles = useStyles();
  const first = firstBreakable(chain);
  return (
    <View role="list">
      {chain.map((link, i) => (
        <View key={i} role="listitem" style={styles.link}>
          <View style={styles.rail} aria-hidden>
            <View style={[styles.dot, { marginTop: 2 }, i === first ? styles.breaks : null]} />
            {i < chain.length - 1 ? <View style={styles.line} /> : null}
          </View>
          <View style={[styles.body, { gap: 2, paddingBottom: 12 }]}>
            <Words as={i === first ? 'strong' : 'body'}>{link.words}</Words>
            {i === first ? (
              <Words as="soft">Training breaks it here: this is where the drills go.</Words>
            ) : null}
          </View>
        </View>
      ))}
    </View>
  );
}

/** Whether training can break a link. */
function Breaks({
  breakable,
  isFirst,
  onPress,
}: {
  readonly breakable: boolean;
  readonly isFirst: boolean;
  readonly onPress: () => void;
}) {
  const styles = useStyles();
  return (
    <Pressable role="checkbox" aria-checked={breakable} onPress={onPress} style={styles.mark}>
      <View style={styles.box}>
        <Words as="strong">{breakable ? '✓' : ''}</Words>
      </View>
      <Words style={{ flex: 1 }}>
        {isFirst ? 'Training can break it: the drills go here' : 'Training can break it'}
      </Words>
    </Pressable>
  );
}

/** The chain to be set right, link by link. */
export function ChainEditor({
  chain,
  onChange,
}: {
  readonly chain: readonly Link[];
  readonly onChange: (chain: readonly Link[]) => void;
}) {
  const styles = useStyles();
  const first = firstBreakable(chain);
  const put = (at: number, part: Partial<Link>) =>
    onChange(chain.map((link, i) => (i === at ? { ...link, ...part } : link)));
  const takeOut = (at: number) => {
    offerUndo(`Link ${at + 1} taken out`, () => onChange(chain));
    onChange(chain.filter((_, i) => i !== at));
  };
  const move = (at: number, by: number) => {
    const next = [...chain];
    next.splice(at + by, 0, ...next.splice(at, 1));
    onChange(next);
  };
  return (
    <View>
      {chain.map((link, i) => (
        <View key={i} style={styles.link}>
          <View style={styles.rail} aria-hidden>
            <View style={[styles.dot, i === first ? styles.breaks : null]} />
            {i < chain.length - 1 ? <View style={styles.line} /> : null}
          </View>
          <View style={styles.body}>
            <TextBox
              label={`Link ${i + 1}${link.causeId ? `: ${causeWords(link.causeId).name}` : ''}`}
              value={link.words}
              onChangeText={(words) => put(i, { words })}
              maxLength={LONGEST}
            />
            {link.causeId ? (
              <Breaks
                breakable={link.breakable}
                isFirst={i === first}
                onPress={() => put(i, { breakable: !link.breakable })}
              />
            ) : null}
            <ButtonRow>
              <Button
                icon="arrow-up"
                label=""
                says={`Move link ${i + 1} up`}
                disabled={i === 0}
                onPress={() => move(i, -1)}
              />
              <Button
                icon="arrow-down"
                label=""
                says={`Move link ${i + 1} down`}
                disabled={i === chain.length - 1}
                onPress={() => move(i, 1)}
              />
              <Button
                kind="quiet"
                label="Take out"
                says={`Take out link ${i + 1}`}
                onPress={() => takeOut(i)}
              />
            </ButtonRow>
          </View>
        </View>
      ))}
      <Button
        icon="plus"
        label="Add a link"
        onPress={() => onChange([...chain, { words: '', causeId: null, breakable: false }])}
      />
    </View>
  );
}
