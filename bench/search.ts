import type { SearchPage } from '@skelby/core/pages/search';
import { withServer } from './with-server';

/** What it costs to find something among a great deal. */

const [SCHOOLS, ENTRIES_EACH] = [1_000, 1_000];
/** One of them is as large as any is expected to be. */
const LARGEST = 10_000;
const ASKED = 200;
/** So many different words there are; the first ones are said often, as words are (Zipf). */
const VOCABULARY = 5_000;

const wordAt = (i: number): string => `word${i}`;

/** In words, a line each: what, and the figure. */
export const saySearch = (): Promise<readonly (readonly [what: string, figure: string])[]> =>
  withServer(async (server) => {
    const { trainer, schoolId } = await server.school('Search');
    await server.db.raw(
      `insert into schools (id, name) select gen_random_uuid(), 'School ' || i from generate_series(2, ?) i`,
      [SCHOOLS],
    );
    // Only the words are there: what they belong to is read by key, as anything is.
    await server.db.raw(
      `insert into search_words (school_id, id, of, at, words)
       select s.id, gen_random_uuid(), 'entry', now() - make_interval(hours => i),
         words_of((select string_agg('word' || (${VOCABULARY} ^ random())::int, ' ')
           from generate_series(1, 12 + 0 * i) g))
         from schools s, generate_series(1, case when s.id = ? then ?::int else ?::int end) i`,
      [schoolId, LARGEST, ENTRIES_EACH],
    );
    await server.db.raw('vacuum analyze search_words');
    const wall: number[] = [];
    for (let nth = 0; nth < ASKED; nth += 1) {
      const typed = [1, 3 + nth, 17 * nth]
        .slice(nth % 3)
        .map(wordAt)
        .join(' ');
      const began = performance.now();
      await trainer.get<SearchPage>(`/search?q=${encodeURIComponent(typed)}`);
      wall.push(performance.now() - began);
    }
    wall.sort((a, b) => a - b);
    return [
      [
        `Words of ${SCHOOLS * ENTRIES_EACH} entries of ${SCHOOLS} schools, asked ${ASKED} times by one with ${LARGEST}`,
        '',
      ],
      [
        '  asked for to answered, median and p95 (aim: 50 ms)',
        `${wall[ASKED >> 1]!.toFixed(1)} and ${wall[Math.ceil(0.95 * ASKED) - 1]!.toFixed(1)} ms`,
      ],
    ];
  });
