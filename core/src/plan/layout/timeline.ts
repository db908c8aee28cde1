import { CHANGE_MINUTES, type Means, REST_MINUTES } from './block';

/** When each pack takes off, from the first one on, minutes. @param rests whether its pilot rests before it */
export function takeOffs(
  rests: readonly boolean[],
  { packMinutes }: Pick<Means, 'packMinutes'>,
): readonly number[] {
  let at = 0;
  return rests.map((isRest, nth) => {
    if (nth > 0) at += packMinutes + CHANGE_MINUTES;
    if (isRest) at += REST_MINUTES;
    return at;
  });
}
