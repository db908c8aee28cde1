import { craftModel } from '@skelby/core/simulator/craft-model';
import type { Wind } from '@skelby/core/simulator/gusts-dryden';
import { heardOf } from '@skelby/core/simulator/heard';
import { craftFacts, type CraftRecord } from '@skelby/core/vocabulary/craft-facts';
import { useEffect, useMemo, useRef, useState } from 'react';
import { CraftSound } from './craft-sound';
import type { Shown } from './practice-messages';

const HIT_MS = 180;

/** What is heard of the flight, and felt where the device can: begun by a touch, silent as soon as nothing flies. */
export function useCraftSound(craft: CraftRecord, wind: Pick<Wind, 'speedMps' | 'fromDeg'>, volume: number) {
  const [sound] = useState(() => new CraftSound());
  const isAloft = useRef(false);
  const model = useMemo(() => craftModel(craftFacts(craft)), [craft]);
  useEffect(() => () => sound.stop(), [sound]);
  return useMemo(
    () => ({
      start: () => {
        isAloft.current = true;
        sound.start(volume);
      },
      hush: () => {
        isAloft.current = false;
        sound.hush();
      },
      hear: (shown: Shown, isAboard: boolean) => {
        if (!isAloft.current) return;
        const { rotorSpeeds, wash, position, velocity, pilot, ended } = shown;
        if (ended) {
          isAloft.current = false;
          sound.hush();
          if ('vibrate' in navigator) navigator.vibrate(HIT_MS);
          return;
        }
        const from = { rotorSpeeds, wash, position, velocity, pilot, wind, isAboard };
        sound.set(heardOf(model, from), shown.landsItself || shown.linkLost);
      },
    }),
    [sound, model, wind, volume],
  );
}

/** Sounds as long as it flies; another volume is heard at once. */
export function useSoundWhile(sound: ReturnType<typeof useCraftSound>, isFlying: boolean): void {
  useEffect(() => {
    if (isFlying) sound.start();
    else sound.hush();
  }, [isFlying, sound]);
}
