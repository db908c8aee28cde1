import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Words } from '../ui/Words';

interface LabelledProps {
  readonly id: string;
  readonly label: string;
  readonly hint?: string | undefined;
  readonly error?: string | undefined;
  readonly children: ReactNode;
}

/** What ties a box to its label, and to its hint or error. */
export const tiesOf = (id: string, { hint, error }: Pick<LabelledProps, 'hint' | 'error'>) =>
  ({
    'aria-labelledby': `${id}-label`,
    'aria-describedby': error || hint ? `${id}-note` : undefined,
    'aria-invalid': error ? true : undefined,
  }) as const;

/** A box under its label, with its hint or what is wrong with it below. */
export function Labelled({ id, label, hint, error, children }: LabelledProps) {
  return (
    <View style={{ gap: 6 }}>
      <Words as="soft" nativeID={`${id}-label`}>
        {label}
      </Words>
      {children}
      {error || hint ? (
        <Words as={error ? 'strong' : 'soft'} nativeID={`${id}-note`} role={error ? 'alert' : undefined}>
          {error ? `! ${error}` : hint}
        </Words>
      ) : null}
    </View>
  );
}
