import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';

const SRC = path.join(__dirname, '..');
/** Files of core/src/pages whose types answers are held against. */
const PAGES = ['pages', 'people', 'portal', 'prefetch', 'course', 'insights', 'search', 'signs', 'agreement'];

/** An answer of the server, and the type in core/src/pages that says what it is. */
export interface TypedAnswer {
  readonly type: string;
  readonly answer: unknown;
}

/**
 * What the compiler finds wrong with answers of the running server against the types that the app reads them by:
 * a missing field, a number sent as a string, a word that no union has. More fields than the type has are allowed.
 */
export function typeProblems(answers: readonly TypedAnswer[]): readonly string[] {
  const folder = mkdtempSync(path.join(SRC, 'answers-'));
  try {
    const file = path.join(folder, 'answers.ts');
    const lines = answers.map(
      ({ type, answer }, i) =>
        `const raw${i} = ${JSON.stringify(answer)} as const;\nexport const answer${i}: ${type} = raw${i};`,
    );
    writeFileSync(
      file,
      [
        ...PAGES.map((name) => `import type * as ${name} from '@skelby/core/pages/${name}';`),
        ...lines,
        '',
      ].join('\n'),
    );
    const config = path.join(SRC, '..', 'tsconfig.json');
    const { options } = ts.parseJsonConfigFileContent(
      ts.readConfigFile(config, (name) => ts.sys.readFile(name)).config,
      ts.sys,
      path.dirname(config),
    );
    const program = ts.createProgram([file], { ...options, noEmit: true });
    // The last line of what the compiler says names the field; one example of each is enough.
    const found = ts
      .getPreEmitDiagnostics(program, program.getSourceFile(file))
      .map(({ messageText }) =>
        ts.flattenDiagnosticMessageText(messageText, '\n').split('\n').at(-1)!.trim(),
      );
    return [...new Set(found.map((words) => words.replace(/ in type '\{.*\}' but/, ' but')))];
  } finally {
    rmSync(folder, { recursive: true });
  }
}
