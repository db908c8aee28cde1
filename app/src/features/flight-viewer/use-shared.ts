import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useRef } from 'react';

/** The cache in which the service worker puts what another program shares. */
const SHARED = 'skelby-shared';

/** Takes what was shared out of it. */
async function takeShared(): Promise<readonly File[]> {
  const cache = await caches.open(SHARED);
  const requests = [...(await cache.keys())].sort((a, b) => a.url.localeCompare(b.url));
  const files = await Promise.all(
    requests.map(async ({ url }) => {
      const kept = (await cache.match(url))!;
      const name = decodeURIComponent(new URL(url).pathname.split('/').at(-1)!);
      return new File([await kept.blob()], name, { type: kept.headers.get('Content-Type') ?? '' });
    }),
  );
  await caches.delete(SHARED);
  return files;
}

/** Gives what another program shared to the page that was opened for it, once. */
export function useShared(onFiles: (files: readonly File[]) => void): void {
  const { shared } = useLocalSearchParams<{ shared?: string }>();
  const router = useRouter();
  const give = useRef(onFiles);
  give.current = onFiles;
  useEffect(() => {
    if (!shared || !('caches' in window)) return;
    void takeShared().then((files) => {
      router.setParams({ shared: undefined });
      if (files.length > 0) give.current(files);
    });
  }, [shared, router]);
}
