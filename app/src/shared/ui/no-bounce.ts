import type { GestureResponderEvent } from 'react-native';

/** A thumb that bounces taps again within so long, ms; whoever means it takes longer. */
const BOUNCE_MS = 300;

let lastMs = -Infinity;

/** Keys and aids that press for somebody never bounce. */
const isPointer = (event: GestureResponderEvent): boolean => {
  const { type, detail } = event.nativeEvent as unknown as {
    readonly type?: string;
    readonly detail?: number;
  };
  return !(type ?? '').startsWith('key') && detail !== 0;
};

/**
 * What a tap that counts something does, unless it comes so soon after the last one that the thumb bounced: one
 * verdict is one rep, and no reason is stored that nobody chose.
 */
export const unlessBounced =
  (act: () => void) =>
  (event: GestureResponderEvent): void => {
    const now = event.timeStamp || performance.now();
    const bounced = isPointer(event) && now - lastMs < BOUNCE_MS;
    lastMs = now;
    if (!bounced) act();
  };
