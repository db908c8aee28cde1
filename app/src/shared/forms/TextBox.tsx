import { useId } from 'react';
import { TextInput, type TextInputProps } from 'react-native';
import { FONT, themed, TOUCH } from '../ui/theme';
import { Labelled, tiesOf } from './Labelled';
import { useFocusWhereWrong } from './use-focus-where-wrong';

const useStyles = themed((theme) => ({
  box: {
    minHeight: TOUCH,
    borderWidth: 2,
    borderColor: theme.ink,
    backgroundColor: theme.ground,
    paddingHorizontal: 14,
    paddingVertical: 12,
    fontFamily: FONT.plain,
    fontSize: 18,
    color: theme.ink,
  },
  wrong: { borderLeftWidth: 10 },
  long: { minHeight: 104, textAlignVertical: 'top' },
}));

interface TextBoxProps extends Omit<TextInputProps, 'style'> {
  readonly label: string;
  readonly hint?: string;
  readonly error?: string | undefined;
}

export function TextBox({ label, hint, error, ...input }: TextBoxProps) {
  const styles = useStyles();
  const id = useId();
  const box = useFocusWhereWrong<TextInput>(error);
  return (
    <Labelled id={id} label={label} hint={hint} error={error}>
      <TextInput
        {...input}
        ref={box}
        {...tiesOf(id, { hint, error })}
        style={[styles.box, input.multiline ? styles.long : null, error ? styles.wrong : null]}
      />
    </Labelled>
  );
}
