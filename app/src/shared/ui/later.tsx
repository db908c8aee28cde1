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

/** A part of a page whose code arrives when it is first shown; nothing stands there until then. */
export function laterPart<T, P extends object>(
  load: () => Promise<T>,
  pick: (all: T) => ComponentType<P>,
): ComponentType<P> {
  const Arrives = lazy(async () => ({ default: pick(await load()) })) as unknown as ComponentType<P>;
  return function LaterPart(props: P) {
    return (
      <Suspense>
        <Arrives {...props} />
      </Suspense>
    );
  };
}
