import { type Href, useLocalSearchParams, useRouter } from 'expo-router';
import type { LogStep } from './steps';

/**
 * The way through the questions of a log: each is a page, so that "back" goes one question back, and none of them is left
 * behind once it is over: "back" from there leads to where the log was begun.
 */
export function useLogWay() {
  const router = useRouter();
  // How many pages of this log lie behind the open one.
  const deep = Number(useLocalSearchParams<{ deep?: string }>().deep ?? 0) || 0;
  return {
    /** The address of a question, in the place of the open one. */
    at: (step: LogStep): Href => `/log/${step}?deep=${deep}`,
    on: (step: LogStep) => router.push(`/log/${step}?deep=${deep + 1}`),
    leave: (to: Href) => {
      // After a reload the router knows of no page before this one.
      if (deep > 0 && router.canDismiss()) router.dismiss(deep);
      router.replace(to);
    },
  };
}
