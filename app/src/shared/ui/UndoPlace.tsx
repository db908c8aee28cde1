import { usePathname } from 'expo-router';
import { lazy, Suspense, useEffect, useSyncExternalStore } from 'react';
import { View } from 'react-native';
import { lastThrow } from './undo';

const UndoLine = lazy(() => import('./UndoLine'));

/** Where what was thrown away last on this page is offered, until the page is left. */
export function UndoPlace() {
  const path = usePathname();
  const thrown = useSyncExternalStore(lastThrow.subscribe, lastThrow.now);
  useEffect(() => lastThrow.clear, [path]);
  return (
    <View role="status" nativeID="skelby-undo">
      {thrown ? (
        <Suspense>
          <UndoLine what={thrown.what} />
        </Suspense>
      ) : null}
    </View>
  );
}
