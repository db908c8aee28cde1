import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { useMay } from '../api/use-may';
import { useKeptState } from '../storage/use-kept-state';
import { Button, ButtonRow } from '../ui/Button';
import { TextBox } from './TextBox';

interface ReasonFormProps {
  /** The link that opens the form. */
  readonly open: string;
  readonly question: string;
  readonly act: string;
  readonly busy: boolean;
  readonly error: string | null;
  readonly onGive: (reason: string) => void;
  /** Open from the first, where something else opened it. */
  readonly isOpen?: boolean;
  readonly onLeave?: () => void;
}

const SHORTEST = 3;

/** Asks why before something out of the ordinary is done; the reason goes into the history. */
export function ReasonForm({
  open,
  question,
  act,
  busy,
  error,
  onGive,
  isOpen: opensAtOnce = false,
  onLeave,
}: ReasonFormProps) {
  const [reason, setReason, forget] = useKeptState(`reason.${open}`, '');
  const [isOpen, setOpen] = useState(opensAtOnce || reason !== '');
  const [tried, setTried] = useState(false);
  // Given and not refused: once the form has gone, nothing of it is left.
  const settled = useRef(false);
  useEffect(() => () => (settled.current ? forget() : undefined), [forget]);
  const may = useMay('train');
  if (!may) return null;
  if (!isOpen) return <Button kind="quiet" label={open} onPress={() => setOpen(true)} />;
  const tooShort = reason.trim().length < SHORTEST ? 'Reason is empty: say why in a few words.' : undefined;
  const give = () => {
    if (tooShort) setTried(true);
    else {
      onGive(reason.trim());
      settled.current = true;
    }
  };
  return (
    <View style={{ gap: 12 }}>
      <TextBox
        label={question}
        value={reason}
        onChangeText={setReason}
        maxLength={300}
        multiline
        error={error ?? (tried ? tooShort : undefined)}
        autoFocus
      />
      <ButtonRow>
        <Button label={busy ? 'Saving …' : act} disabled={busy} onPress={give} />
        <Button kind="quiet" label="Leave it" onPress={onLeave ?? (() => setOpen(false))} />
      </ButtonRow>
    </View>
  );
}
