import { run } from './run';
import { bin, ROOT } from './places';

/** No folder leans on one that leans on it: what two share stands under both. Types alone bind nothing. */

interface Cruised {
  readonly modules: readonly {
    readonly source: string;
    readonly dependencies: readonly {
      readonly resolved: string;
      readonly dependencyTypes: readonly string[];
    }[];
  }[];
}

const FOLDERS = [/^core\/src\/[^/]+/, /^server\/src\/[^/]+/, /^app\/src\/(?:features|offline|shared)\/[^/]+/];
const NO_PART = /\.test\.|\/testing\/|node_modules/;

/** Large folders as they are named in the plan of the house; of the rest the folder of the file. */
const folderOf = (file: string): string =>
  FOLDERS.map((pattern) => pattern.exec(file)?.[0]).find(Boolean) ?? file.replace(/\/[^/]+$/, '');

/** What each folder leans on at run time. */
function leaning({ modules }: Cruised): ReadonlyMap<string, ReadonlySet<string>> {
  const on = new Map<string, Set<string>>();
  for (const { source, dependencies } of modules.filter((each) => !NO_PART.test(each.source)))
    for (const { resolved, dependencyTypes } of dependencies) {
      const [from, to] = [folderOf(source), folderOf(resolved)];
      if (NO_PART.test(resolved) || dependencyTypes.includes('type-only') || from === to) continue;
      on.set(from, (on.get(from) ?? new Set()).add(to));
    }
  return on;
}

/** A way from a folder back to itself; null where there is none. */
function circleFrom(start: string, on: ReadonlyMap<string, ReadonlySet<string>>): readonly string[] | null {
  const seen = new Set<string>();
  const ways: string[][] = [[start]];
  for (let way = ways.pop(); way; way = ways.pop())
    for (const next of on.get(way.at(-1)!) ?? []) {
      if (next === start) return [...way, next];
      if (!seen.has(next)) ways.push([...way, next]);
      seen.add(next);
    }
  return null;
}

test('no folders lean on each other in a circle', async () => {
  const { output } = await run(
    bin('depcruise'),
    ['core/src', 'server/src', 'app/src', 'tools', 'bench', 'e2e', '--output-type', 'json'],
    { cwd: ROOT },
  );
  const on = leaning(JSON.parse(output.slice(output.indexOf('{'))) as Cruised);
  expect(on.size).toBeGreaterThan(50);
  expect([...on.keys()].map((folder) => circleFrom(folder, on)).filter(Boolean)).toEqual([]);
}, 120_000);

test('a circle is found where there is one', () => {
  const on = new Map([
    ['a', new Set(['b'])],
    ['b', new Set(['c', 'd'])],
    ['d', new Set(['a'])],
  ]);
  expect(circleFrom('a', on)).toEqual(['a', 'b', 'd', 'a']);
  expect(circleFrom('c', on)).toBeNull();
});
