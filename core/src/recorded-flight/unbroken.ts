/** Points between gaps, each stretch by itself. @param points each says whether a gap lies before it */
export function unbroken<P extends { readonly afterGap: boolean }>(
  points: readonly P[],
): readonly (readonly P[])[] {
  const all: P[][] = [];
  for (const point of points) {
    if (point.afterGap || all.length === 0) all.push([]);
    all.at(-1)!.push(point);
  }
  return all;
}
