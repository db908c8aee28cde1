import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { type ReactNode, useState } from 'react';
import { ApiProblem } from '../api/client';
import { useOwnFonts } from '../ui/fonts';

const RETRIES = 2;

export function Providers({ children }: { readonly children: ReactNode }) {
  useOwnFonts();
  const [client] = useState(() => new QueryClient({
    defaultOptions: {
      queries: {
        staleTime: 5_000,
        networkMode: 'always',
        refetchOnReconnect: true,
        // What the server has answered will not change by asking again; a dropped connection may.
        retry: (failures, error) => !(error instanceof ApiProblem) && failures < RETRIES,
      },
      mutations: { networkMode: 'always' },
    },
  }));
  return <QueryClientProvider client={client}>{children}</QueryClientProvider>;
}
