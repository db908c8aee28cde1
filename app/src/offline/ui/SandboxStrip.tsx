import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Button } from '../../shared/ui/Button';
import { themed } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';
import { useLeaveSandbox } from '../other-schools';

const useStyles = themed((theme) => ({
  strip: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    paddingHorizontal: 16,
    paddingVertical: 4,
    borderBottomWidth: 2,
    borderBottomColor: theme.ink,
    borderStyle: 'dashed',
  },
  words: { flex: 1 },
}));

/** Back to the own school. */
export function BackToSchool({ kind }: { readonly kind: 'quiet' | 'solid' }) {
  const leave = useLeaveSandbox();
  const router = useRouter();
  return (
    <>
      <Button
        kind={kind}
        icon="corner-up-left"
        label={leave.isPending ? 'One moment …' : 'Back to my school'}
        disabled={leave.isPending}
        onPress={() => leave.mutate(undefined, { onSuccess: () => router.replace('/') })}
      />
      {leave.error ? <Words as="strong" role="alert">{`! ${leave.error.message}`}</Words> : null}
    </>
  );
}

/** One line over every page of a sandbox. */
export function SandboxStrip() {
  const styles = useStyles();
  return (
    <View style={styles.strip} role="note">
      <Words as="soft" style={styles.words}>
        Sandbox: made up
      </Words>
      <BackToSchool kind="quiet" />
    </View>
  );
}
