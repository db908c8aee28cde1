import { CannotGoOn } from './say';

/** Ends the process with what `main` returns; what stands in the way is said in a sentence. */
export async function exitWith(main: () => Promise<number>): Promise<never> {
  process.exit(
    await main().catch((error: unknown) => {
      if (!(error instanceof CannotGoOn)) throw error;
      process.stderr.write(`${error.message}\n`);
      return 1;
    }),
  );
}
