import { useId } from 'react';
import { FONT, TOUCH, useTheme } from '../ui/theme';
import { Labelled, tiesOf } from './Labelled';
import { useFocusWhereWrong } from './use-focus-where-wrong';

interface PickBoxProps {
  readonly kind: 'date' | 'time';
  readonly label: string;
  /** A day as year-month-day, or hours:minutes; empty: none. */
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly onBlur?: () => void;
  readonly hint?: string | undefined;
  readonly error?: string | undefined;
}

/** A day or an hour: picked as the platform does it, or typed. */
export function PickBox({ kind, label, value, onChange, onBlur, hint, error }: PickBoxProps) {
  const theme = useTheme();
  const id = useId();
  const box = useFocusWhereWrong<HTMLInputElement>(error);
  return (
    <Labelled id={id} label={label} hint={hint} error={error}>
      <input
        ref={box}
        type={kind}
        value={value}
        onChange={(event) => onChange(event.currentTarget.value)}
        onBlur={onBlur}
        {...tiesOf(id, { hint, error })}
        style={{
          boxSizing: 'border-box',
          minHeight: TOUCH,
          maxWidth: '100%',
          padding: '12px 14px',
          border: `2px solid ${theme.ink}`,
          borderLeftWidth: error ? 10 : 2,
          borderRadius: 0,
          backgroundColor: theme.ground,
          color: theme.ink,
          colorScheme: 'light dark',
          fontFamily: FONT.plain,
          fontSize: '1.125rem',
        }}
      />
    </Labelled>
  );
}
