import { useQueryClient, type UseQueryResult } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { ApiProblem } from '../api/client';
import { Button } from './Button';
import { Note } from './Note';
import { Screen } from './Screen';
import { Words } from './Words';
import type { Href } from 'expo-router';

interface LoadedProps<T> {
  readonly query: UseQueryResult<T>;
  readonly title: string;
  readonly up?: Href;
  readonly children: (data: T) => ReactNode;
}

/** A screen that waits for its data and says so, or says what went wrong and what to do. */
export function Loaded<T>({ query, title, up, children }: LoadedProps<T>) {
  const client = useQueryClient();
  if (query.data !== undefined) return <>{children(query.data)}</>;
  if (query.isError) {
    const gone = query.error instanceof ApiProblem && query.error.status === 404;
    return (
      <Screen title={title} up={up}>
        <Note
          icon={gone ? 'help-circle' : 'wifi-off'}
          heading={gone ? 'Not here' : 'Could not load this'}
          live
        >
          {query.error.message}
        </Note>
        {gone ? null : (
          <Button
            label="Try again"
            icon="refresh-cw"
            onPress={() => void client.refetchQueries({ predicate: (each) => each.state.status === 'error' })}
          />
        )}
      </Screen>
    );
  }
  return (
    <Screen title={title} up={up}>
      <Words as="soft" role="status">
        Loading …
      </Words>
    </Screen>
  );
}
