import { View } from 'react-native';
import { Button, ButtonRow } from '../shared/ui/Button';
import { Note } from '../shared/ui/Note';
import { Screen } from '../shared/ui/Screen';
import { Words } from '../shared/ui/Words';

/** Shown in place of a page that failed. What waits on the phone is not touched by it. */
export function BrokenScreen({
  error,
  retry,
}: {
  readonly error: Error;
  readonly retry: () => Promise<void>;
}) {
  return (
    <View style={{ flex: 1 }}>
      <Screen title="Something broke here">
        <Note icon="alert-circle" live>
          <Words>The page could not be shown. Entries on this phone are safe.</Words>
          <Words as="soft">{error.message}</Words>
        </Note>
        <ButtonRow>
          <Button kind="solid" label="Try again" onPress={() => void retry()} />
          <Button label="Load Skelby anew" onPress={() => window.location.assign('/')} />
        </ButtonRow>
      </Screen>
    </View>
  );
}
