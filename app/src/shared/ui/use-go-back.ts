import { type Href, useRouter } from 'expo-router';

/** Leads where one came from; where there is no page to go back to, up. */
export function useGoBack(up: Href | undefined): () => void {
  const router = useRouter();
  return () => {
    if (router.canGoBack()) router.back();
    else if (up) router.replace(up);
  };
}
