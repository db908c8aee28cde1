import { type Href, useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect } from 'react';
import type { LogStep } from './steps';

/** Where a log that is over leads, while its pages are being gone back through. */
let leavingTo: Href | null = null;

const LOOKS_EVERY_MS = 50;
/** Nobody waits longer for a browser to go back. */
const AT_MOST_MS = 2_000;

/** Whether the address bar is back at the first page of the log: a slow browser gets there later than the page does. */
const isBack = (): boolean => !window.location.search.includes('deep=');

/**
 * The way through the questions of a log: each is a page, so that "back" goes one question back, and none of them is left
 * behind once it is over: "back" from there leads to where the log was begun.
 */
export function useLogWay() {
  const router = useRouter();
  // How many pages of this log lie behind the open one.
  const deep = Number(useLocalSearchParams<{ deep?: string }>().deep ?? 0) || 0;
  const isLeaving = leavingTo !== null;
  useEffect(() => {
    if (!isLeaving) return undefined;
    const began = Date.now();
    let seenBack = 0;
    const timer = setInterval(() => {
      seenBack = isBack() ? seenBack + 1 : 0;
      if (leavingTo === null || (seenBack < 2 && Date.now() - began < AT_MOST_MS)) return;
      const to = leavingTo;
      leavingTo = null;
      router.replace(to);
    }, LOOKS_EVERY_MS);
    return () => clearInterval(timer);
  }, [isLeaving, deep, router]);
  return {
    isLeaving,
    /** The address of a question, in the place of the open one. */
    at: (step: LogStep): Href => (deep === 0 ? `/log/${step}` : `/log/${step}?deep=${deep}`),
    on: (step: LogStep) => router.push(`/log/${step}?deep=${deep + 1}`),
    leave: (to: Href) => {
      // After a reload the router knows of no page before this one.
      if (deep === 0 || !router.canDismiss()) {
        router.replace(to);
        return;
      }
      leavingTo = to;
      router.dismiss(deep);
    },
  };
}
