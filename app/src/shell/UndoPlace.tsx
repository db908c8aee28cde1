import { usePathname } from 'expo-router';
import { useEffect, useSyncExternalStore } from 'react';
import { View } from 'react-native';
import { UndoLine } from '../lazy';
import { lastThrow } from '../shared/ui/undo';

/** Where what was thrown away last on this page is offered, until the page is left. */
export function UndoPlace() {
  const path = usePathname();
  const thrown = useSyncExternalStore(lastThrow.subscribe, lastThrow.now);
  useEffect(() => lastThrow.clear, [path]);
  return (
    <View role="status" nativeID="skelby-undo">
      {thrown ? <UndoLine what={thrown.what} /> : null}
    </View>
  );
}
