import type { ClearingRule } from '@skelby/core/clearance/clearing-rule';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../../shared/ui/Button';
import { Words } from '../../shared/ui/Words';
import { sureSentences } from '../../shared/copy/sure-copy';

export function HowSure({ rule, mostReps }: { readonly rule: ClearingRule; readonly mostReps: number }) {
  const [open, setOpen] = useState(false);
  return (
    <View style={{ gap: 8 }}>
      <Button
        kind="quiet"
        label={open ? 'Hide how sure this is' : 'How sure is this?'}
        onPress={() => setOpen(!open)}
      />
      {open
        ? sureSentences(rule, mostReps).map((sentence) => (
            <Words key={sentence} as="soft">
              {sentence}
            </Words>
          ))
        : null}
    </View>
  );
}
