/** Rows by what they belong to, each in the order in which they came. */
export function rowsBy<Row, Key>(rows: readonly Row[], key: (row: Row) => Key): (of: Key) => readonly Row[] {
  const found = new Map<Key, Row[]>();
  for (const row of rows) {
    const there = found.get(key(row));
    if (there) there.push(row);
    else found.set(key(row), [row]);
  }
  return (of) => found.get(of) ?? [];
}
