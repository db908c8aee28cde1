import { useSyncExternalStore } from 'react';
import { Listeners } from '../storage/listeners';
import { keep, kept } from '../storage/storage';

/** Whether reps are counted by clicker, keys and headset on this phone. Off until somebody switches it on. */

const NAME = 'hands-free';
const listeners = new Listeners();
const isOn = (): boolean => kept<boolean>(NAME) === true;

export function setHandsFree(on: boolean): void {
  keep(NAME, on);
  listeners.tell();
}

export const useIsHandsFree = (): boolean => useSyncExternalStore(listeners.subscribe, isOn);
