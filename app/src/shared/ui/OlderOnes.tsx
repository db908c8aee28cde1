import { Button } from './Button';

interface OlderOnesProps {
  /** A list that is read page after page, newest first. */
  readonly list: {
    readonly hasNextPage: boolean;
    readonly isFetching: boolean;
    readonly fetchNextPage: () => unknown;
  };
}

/** Reads the next page of a list; nothing where there is none. */
export function OlderOnes({ list: { hasNextPage, isFetching, fetchNextPage } }: OlderOnesProps) {
  if (!hasNextPage) return null;
  return (
    <Button
      label={isFetching ? 'Reading …' : 'Older ones'}
      disabled={isFetching}
      onPress={() => void fetchNextPage()}
    />
  );
}
