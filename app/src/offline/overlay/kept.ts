import type { ClearingRule } from '@skelby/core/clearance/clearing-rule';
import type { QueryClient } from '@tanstack/react-query';

/** A page as it was read. */
export interface Read<T> {
  readonly data: T;
  /** ms since 1970. */
  readonly readAt: number;
}

/** What this phone has read, by the names under which pages are kept. */
export interface Kept {
  readonly get: <T>(...name: readonly string[]) => Read<T> | undefined;
  readonly all: <T>(kind: string) => readonly Read<T>[];
}

export const ruleOf = (kept: Kept): ClearingRule | undefined => kept.get<ClearingRule>('rule')?.data;

export const keptBy = (client: QueryClient): Kept => ({
  get: <T>(...name: readonly string[]) => {
    const state = client.getQueryState<T>(name);
    return state?.data === undefined ? undefined : { data: state.data, readAt: state.dataUpdatedAt };
  },
  all: <T>(kind: string) =>
    client
      .getQueryCache()
      .findAll({ queryKey: [kind] })
      .flatMap(({ queryKey, state }) =>
        queryKey.length === 2 && state.data !== undefined
          ? [{ data: state.data as T, readAt: state.dataUpdatedAt }]
          : [],
      ),
});
