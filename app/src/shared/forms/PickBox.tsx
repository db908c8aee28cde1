import { useId } from 'react';
import { View } from 'react-native';
import { FONT, TOUCH, useTheme } from '../ui/theme';
import { Words } from '../ui/Words';

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
  return (
    <View style={{ gap: 6 }}>
      <Words as="soft" nativeID={`${id}-label`}>
        {label}
      </Words>
      <input
        type={kind}
        value={value}
        onChange={(event) => onChange(event.currentTarget.value)}
        onBlur={onBlur}
        aria-labelledby={`${id}-label`}
        aria-describedby={error || hint ? `${id}-note` : undefined}
        aria-invalid={error ? true : undefined}
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
      {error || hint ? (
        <Words as={error ? 'strong' : 'soft'} nativeID={`${id}-note`} role={error ? 'alert' : undefined}>
          {error ? `! ${error}` : hint}
        </Words>
      ) : null}
    </View>
  );
}
