import { type ComponentType, lazy, Suspense } from 'react';
import { Screen } from './Screen';
import { Words } from './Words';

/** A screen whose code arrives when it is first opened, so that Today need not wait for it. */
export function later<T>(load: () => Promise<T>, pick: (all: T) => ComponentType): ComponentType {
  const Arrives = lazy(async () => ({ default: pick(await load()) }));
  return function Later() {
    return (
      <Suspense
        fallback={
          <Screen title="Skelby">
            <Words as="soft" role="status">
              Loading …
            </Words>
          </Screen>
        }
      >
        <Arrives />
      </Suspense>
    );
  };
}
