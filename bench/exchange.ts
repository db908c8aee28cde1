import { readFileSync } from 'node:fs';
import { v7 as uuid } from 'uuid';
import { COLUMNS } from '../core/src/exchange/occurrence-record';
import { CASES } from '../core/src/ranking/cases';
import { toCells } from '../core/src/exchange/occurrence-record';
import { NO_FINDINGS } from '../core/src/debrief/findings';
import { stringify } from 'csv-stringify/sync';
import { CannotGoOn } from '../tools/say';
import { signedIn } from './api';

const ROWS = 10_000;

/** A file of many occurrences, each with the evidence of one of the cases. */
function manyOccurrences(): string {
  const day = '2026-03-02';
  const rows = Array.from({ length: ROWS }, (_, i) => {
    const { cause, told, evidence } = CASES[i % CASES.length]!;
    const cells = toCells({
      id: uuid(),
      pilotId: '',
      pilot: `Bench pilot ${i % 40}`,
      kind: i % 3 === 0 ? 'crash' : 'near-miss',
      day,
      happenedAt: `${day}T09:00:00.000Z`,
      causeId: cause,
      note: told,
      craft: null,
      site: null,
      windMps: 3,
      confirmedCauseId: cause,
      withdrawnReason: null,
      debrief: {
        ...NO_FINDINGS,
        state: 'closed',
        evidence,
        ownPick: cause,
        primary: cause,
        actual: 'minor',
        injury: 'none',
      },
    });
    return COLUMNS.map((name) => cells[name]);
  });
  return stringify([COLUMNS, ...rows], { record_delimiter: 'windows' });
}

const residentMb = (pid: number, what: 'VmRSS' | 'VmHWM'): number =>
  Number(new RegExp(`${what}:\\s+(\\d+)`).exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1024;

export interface ImportFigures {
  readonly rows: number;
  readonly fileMb: number;
  readonly checkSeconds: number;
  readonly saveSeconds: number;
  readonly exportSeconds: number;
  /** Memory of the server, before and at most since it started, MB. */
  readonly beforeMb: number;
  readonly mostMb: number;
}

export async function measureExchange(base: string, pid: number): Promise<ImportFigures> {
  const headers = { ...(await signedIn(base)), 'Content-Type': 'application/octet-stream' };
  const file = manyOccurrences();
  const beforeMb = residentMb(pid, 'VmRSS');
  const timed = async (save: string) => {
    const started = performance.now();
    const response = await fetch(`${base}/api/imports/occurrences?format=csv&save=${save}`, {
      method: 'POST',
      headers,
      body: file,
    });
    const report = (await response.json()) as { good: number };
    if (report.good !== ROWS) throw new CannotGoOn(`The import took ${report.good} of ${ROWS} rows.`);
    return (performance.now() - started) / 1000;
  };
  const checkSeconds = await timed('nothing');
  const saveSeconds = await timed('good');
  const started = performance.now();
  await (await fetch(`${base}/api/occurrences.csv`, { headers })).text();
  return {
    rows: ROWS,
    fileMb: file.length / 1e6,
    checkSeconds,
    saveSeconds,
    exportSeconds: (performance.now() - started) / 1000,
    beforeMb,
    mostMb: residentMb(pid, 'VmHWM'),
  };
}
