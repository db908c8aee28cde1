import { QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { type ReactNode, useEffect, useState } from 'react';
import { ApiProblem } from '../shared/api/client';
import { reach } from '../shared/api/reach';
import { KEPT_MS, keepQueries } from '../offline/prefetch/kept-queries';
import { useOwnFonts } from '../shared/ui/fonts';
import { listenForKeysOfRoles } from '../shared/ui/keys-of-roles';
import { guardAgainstBounces } from '../shared/ui/no-bounce';

const RETRIES = 2;

/** Signed out meanwhile, whatever is asked first says so: who is signed in is asked anew. */
function askingWhoIsHere(): QueryCache {
  const cache: QueryCache = new QueryCache({
    onError: (error, { queryKey }) => {
      if (error instanceof ApiProblem && error.status === 401 && queryKey[0] !== 'me')
        cache
          .find({ queryKey: ['me'] })
          ?.fetch()
          .catch(() => undefined);
    },
  });
  return cache;
}

export function Providers({ children }: { readonly children: ReactNode }) {
  useOwnFonts();
  const [client] = useState(
    () =>
      new QueryClient({
        queryCache: askingWhoIsHere(),
        defaultOptions: {
          queries: {
            staleTime: 5_000,
            gcTime: KEPT_MS,
            networkMode: 'always',
            refetchOnReconnect: true,
            // What the server has answered will not change by asking again; a dropped connection may.
            retry: (failures, error) => !(error instanceof ApiProblem) && failures < RETRIES,
          },
          mutations: { networkMode: 'always' },
        },
      }),
  );
  useEffect(listenForKeysOfRoles, []);
  useEffect(() => guardAgainstBounces(window), []);
  useEffect(() => reach.listen(window), []);
  const [restored, setRestored] = useState(false);
  // A browser that keeps nothing for us (a private window, say) starts with nothing.
  useEffect(() => {
    void keepQueries(client)
      .catch(() => undefined)
      .then(() => setRestored(true));
  }, [client]);
  return <QueryClientProvider client={client}>{restored ? children : null}</QueryClientProvider>;
}
