/** What may stand between cells, the rarer inside of one first. */
const DELIMITERS = ['\t', ';', '|', ','] as const;
export type Delimiter = (typeof DELIMITERS)[number];

/** So many of the lines have to fall into as many cells. */
const MOST_ALIKE = 0.8;

/** How many cells most lines fall into, and how many of the lines do. */
function cellsBy(
  lines: readonly string[],
  delimiter: Delimiter,
): { readonly cells: number; readonly share: number } {
  const counts = new Map<number, number>();
  for (const line of lines) {
    const cells = line.split(delimiter).length;
    counts.set(cells, (counts.get(cells) ?? 0) + 1);
  }
  const [cells, many] = [...counts].reduce((a, b) => (b[1] > a[1] ? b : a), [1, 0]);
  return { cells, share: many / Math.max(1, lines.length) };
}

/** What stands between the cells of a table. @param head its beginning; the last line may be cut off */
export function delimiterOf(head: string): Delimiter {
  const lines = head
    .split(/\r\n|\n|\r/)
    .slice(0, -1)
    .filter((line) => line.trim() !== '' && !line.startsWith('#'));
  // A preamble has other lines than the table: the later half is surely table.
  const later = lines.slice(Math.floor(lines.length / 2));
  return (
    DELIMITERS.find((each) => {
      const { cells, share } = cellsBy(later, each);
      return cells > 1 && share >= MOST_ALIKE;
    }) ?? ','
  );
}
