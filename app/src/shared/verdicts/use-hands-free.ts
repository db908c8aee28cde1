import { useEffect, useRef } from 'react';
import { listenForClicks, type Press, unlessTwice } from './clicker';
import { useIsHandsFree } from './hands-free';
import { listenToHeadset } from './headset';
import { readAloud } from './voice';

/** What a press does, and what is read aloud. */
export interface HandsFreeNow {
  /** The drill and how it is flown: read when it changes, and when asked again. */
  readonly task: string;
  /** How it stands, or what is asked: read when it changes. */
  readonly says: string;
  readonly met: () => void;
  readonly missed: () => void;
}

/** Reps by clicker, keys and headset, with the drill read aloud; nothing while it is switched off. */
export function useHandsFree(now: HandsFreeNow): void {
  const isOn = useIsHandsFree();
  const latest = useRef(now);
  latest.current = now;
  const { task, says } = now;
  const readLast = useRef<string | null>(null);
  useEffect(() => {
    if (!isOn) return;
    readAloud(readLast.current === task ? says : `${task} ${says}`);
    readLast.current = task;
  }, [isOn, task, says]);
  useEffect(() => {
    if (!isOn) return undefined;
    const act = unlessTwice(
      (press: Press) => {
        const { current } = latest;
        if (press === 'met') current.met();
        else if (press === 'missed') current.missed();
        else readAloud(`${current.task} ${current.says}`);
      },
      () => performance.now(),
    );
    const [noClicks, noHeadset] = [listenForClicks(window, act), listenToHeadset(act)];
    return () => {
      noClicks();
      noHeadset();
      readLast.current = null;
      readAloud('');
    };
  }, [isOn]);
}
