import { View } from 'react-native';
import { Button, ButtonRow } from './Button';
import { usePassOn } from './use-pass-on';
import { Words } from './Words';

interface LinkToPassOnProps {
  readonly address: string;
  /** What the phone's own sheet calls it. */
  readonly title: string;
  readonly lasts: string;
}

/** A link that was just made, shown this once. */
export function LinkToPassOn({ address, title, lasts }: LinkToPassOnProps) {
  const { said, pass } = usePassOn(title);
  return (
    <View style={{ gap: 8 }}>
      <Words aria-label="Link">{address}</Words>
      <ButtonRow>
        <Button kind="solid" icon="share-2" label={said ?? 'Pass it on'} onPress={() => void pass(address)} />
      </ButtonRow>
      <Words as="soft">{lasts}</Words>
    </View>
  );
}
