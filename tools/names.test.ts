import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { ROOT } from './places';

/** An exported name means one thing in the whole project. */

const FOLDERS = ['core/src', 'copy/src', 'server/src', 'app/src', 'tools', 'bench'];
/** A command's handle, rule and handler share its name; screens are exported again where they load later. */
const ON_PURPOSE = [
  /^core\/src\/commands\//,
  /^server\/src\/commands\//,
  /^app\/src\/lazy\//,
  /\/migrations\//,
];
const EXPORTED = /^export (?:async |abstract )?(?:const|function|class|interface|type) (\w+)/gm;

const isSource = (name: string) => /\.tsx?$/.test(name) && !/\.(test|d)\.tsx?$/.test(name);

function exportedIn(folder: string): readonly (readonly [name: string, file: string])[] {
  return readdirSync(path.join(ROOT, folder), { recursive: true, encoding: 'utf8' })
    .map((name) => path.join(folder, name))
    .filter((file) => isSource(file) && !file.includes('node_modules'))
    .filter((file) => !ON_PURPOSE.some((pattern) => pattern.test(file)))
    .flatMap((file) =>
      // What stands in a template is text.
      [
        ...readFileSync(path.join(ROOT, file), 'utf8')
          .replace(/`[^`]*`/g, '')
          .matchAll(EXPORTED),
      ].map(([, name]) => [name!, file] as const),
    );
}

test('no name is exported with two meanings', () => {
  const files = new Map<string, Set<string>>();
  for (const [name, file] of FOLDERS.flatMap(exportedIn))
    files.set(name, new Set([...(files.get(name) ?? []), file]));
  expect(files.size).toBeGreaterThan(800);
  expect([...files].filter(([, where]) => where.size > 1).map(([name, where]) => [name, ...where])).toEqual(
    [],
  );
});
