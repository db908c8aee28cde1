import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { ROOT } from './places';

/** What comes with every package that is bundled or run, and whether it may. */

interface LockedPackage {
  readonly version?: string;
  readonly resolved?: string;
  readonly integrity?: string;
  readonly link?: boolean;
  readonly dev?: boolean;
  readonly optional?: boolean;
  readonly license?: string;
}

interface Manifest {
  readonly name?: string;
  readonly version?: string;
  readonly license?: string | { readonly type?: string };
  readonly licenses?: readonly { readonly type?: string }[];
  readonly dependencies?: Readonly<Record<string, string>>;
}

/** Licences under which a package may be shipped with the app or run by the server. */
const MAY_SHIP = new Set([
  'MIT',
  'MIT License',
  'ISC',
  'BSD-2-Clause',
  'BSD-3-Clause',
  'Apache-2.0',
  '0BSD',
  'Unlicense',
  'CC0-1.0',
  'CC-BY-4.0',
  'OFL-1.1',
  'BlueOak-1.0.0',
  'Python-2.0',
  'MIT-0',
  'Zlib',
  'WTFPL',
  'MPL-2.0',
  'Bitstream-Vera',
]);

const read = <T>(file: string): T => JSON.parse(readFileSync(file, 'utf8')) as T;
const lock = (): Readonly<Record<string, LockedPackage>> =>
  read<{ packages: Record<string, LockedPackage> }>(path.join(ROOT, 'package-lock.json')).packages;

/** Packages whose manifest does not name it, with what the file beside it says. */
const SAID_IN_FILE: Readonly<Record<string, string>> = {
  'png-js': 'MIT',
  'dejavu-fonts-ttf': 'Bitstream-Vera',
};

const licenceOf = ({ name, license, licenses = [] }: Manifest): string =>
  SAID_IN_FILE[name ?? ''] ??
  (typeof license === 'string' ? license : license?.type) ??
  licenses[0]?.type ??
  'none given';

/** Whether one of the licences that an expression such as `(MIT OR GPL-3.0)` offers may be shipped. */
export const mayShip = (expression: string): boolean =>
  expression
    .replace(/[()]/g, '')
    .split(/ OR /i)
    .some((choice) => choice.split(/ AND /i).every((each) => MAY_SHIP.has(each.trim())));

/** What is wrong with the lock file and the licences of what it brings; empty when nothing is. */
export function packageProblems(): readonly string[] {
  const problems: string[] = [];
  for (const [place, entry] of Object.entries(lock())) {
    if (!place.startsWith('node_modules/') || entry.link) continue;
    if (!entry.integrity) problems.push(`${place} is locked without a checksum: run npm install again.`);
    // Whichever registry is set serves it: an address would tie the project to one.
    if (entry.resolved)
      problems.push(`${place} is locked to the address ${entry.resolved}: lock it without one.`);
    const manifest = path.join(ROOT, place, 'package.json');
    if (entry.dev || !existsSync(manifest)) continue;
    const licence = licenceOf(read<Manifest>(manifest));
    if (!mayShip(licence))
      problems.push(`${place} is under ${licence}, which is not on the list in tools/packages.ts.`);
  }
  for (const workspace of ['.', 'core', 'copy', 'server', 'app', 'tools', 'bench', 'e2e']) {
    const { dependencies = {} } = read<Manifest>(path.join(ROOT, workspace, 'package.json'));
    for (const [name, wanted] of Object.entries(dependencies))
      if (!name.startsWith('@skelby/') && !/^\d/.test(wanted))
        problems.push(`${workspace}/package.json wants ${name} ${wanted}: pin one version.`);
  }
  return problems;
}

/** Name, version and licence of every package that the app may hold, with the text of its licence. */
export function notices(): string {
  const parts = Object.entries(lock())
    .filter(([place, { dev, link }]) => place.startsWith('node_modules/') && !dev && !link)
    .flatMap(([place]) => {
      const folder = path.join(ROOT, place);
      if (!existsSync(path.join(folder, 'package.json'))) return [];
      const manifest = read<Manifest>(path.join(folder, 'package.json'));
      const text = ['LICENSE', 'LICENSE.md', 'LICENSE.txt', 'license', 'LICENCE', 'LICENSE-MIT']
        .map((name) => path.join(folder, name))
        .find((file) => existsSync(file));
      const title = `${manifest.name ?? place} ${manifest.version ?? ''} (${licenceOf(manifest)})`;
      return [
        `${title}\n${'-'.repeat(title.length)}\n${text ? readFileSync(text, 'utf8').trim() : 'No licence text comes with this package.'}`,
      ];
    });
  return `Skelby is built with these packages. Each is under the licence that stands with it.\n\n${[...new Set(parts)].sort().join('\n\n\n')}\n`;
}
