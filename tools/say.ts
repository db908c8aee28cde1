/** What stops a command, in a sentence that says what to do. */
export class CannotGoOn extends Error {}

export const say = (line: string): void => {
  process.stdout.write(`${line}\n`);
};
