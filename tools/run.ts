import { spawn } from 'node:child_process';

export interface Ran {
  readonly code: number;
  readonly output: string;
}

/** Runs a program to its end. `show` passes its output on as it comes; otherwise it is kept. */
export function run(
  program: string,
  args: readonly string[],
  options: { show?: boolean; env?: NodeJS.ProcessEnv; cwd?: string } = {},
): Promise<Ran> {
  return new Promise((resolve, reject) => {
    const child = spawn(program, args, {
      cwd: options.cwd,
      env: { ...process.env, ...options.env },
      stdio: options.show ? 'inherit' : ['ignore', 'pipe', 'pipe'],
    });
    let output = '';
    child.stdout?.on('data', (part: Buffer) => {
      output += part.toString();
    });
    child.stderr?.on('data', (part: Buffer) => {
      output += part.toString();
    });
    child.on('error', reject);
    child.on('close', (code) => resolve({ code: code ?? 1, output }));
  });
}
