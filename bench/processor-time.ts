import { readdirSync, readFileSync } from 'node:fs';

/** Ticks of a processor's clock in /proc, a second. */
const TICKS = 100;

/** Processor time of those processes, and of those they started that have ended, so far, ms. */
function spentMs(isWanted: (pid: number, stat: string) => boolean): number {
  let ticks = 0;
  for (const name of readdirSync('/proc').filter((each) => /^\d+$/.test(each))) {
    try {
      const stat = readFileSync(`/proc/${name}/stat`, 'utf8');
      if (!isWanted(Number(name), stat)) continue;
      const fields = stat.slice(stat.lastIndexOf(')') + 2).split(' ');
      for (const field of fields.slice(11, 15)) ticks += Number(field);
    } catch {
      // It has ended meanwhile.
    }
  }
  return (1_000 * ticks) / TICKS;
}

/** Of all processes of the database. */
export const databaseMs = (): number => spentMs((_, stat) => stat.includes('(postgres)'));
/** Of one process. */
export const processMs = (pid: number): number => spentMs((each) => each === pid);
