import { v7 as uuid } from 'uuid';
import { type BenchRequest, sendEvenly, signedIn } from './api';
import { databaseMs, processMs } from './processor-time';

/** A server with much to do for a long while: what a request costs then, and how long one waits. */

const SECONDS = Number(process.env['SECONDS'] ?? 600);
const WARM_UP_SECONDS = 10;

interface MixFigures {
  readonly seconds: number;
  readonly requests: number;
  readonly failed: number;
  /** Processor time of server and database a request, ms. */
  readonly serverMs: number;
  readonly databaseMs: number;
  /** Milliseconds, of the mix and of `/healthz` asked meanwhile. */
  readonly p50: number;
  readonly p99: number;
  readonly healthP50: number;
  readonly healthP99: number;
}

/** Of twenty requests eight are Today, five a weakness, five a rep and two an entry. */
const TURNS = [
  ...['today', 'weakness', 'rep', 'today', 'weakness', 'rep', 'today', 'log', 'today', 'weakness'],
  ...['rep', 'today', 'weakness', 'rep', 'today', 'log', 'today', 'weakness', 'rep', 'today'],
] as const;

export async function measureMix(base: string, pid: number): Promise<MixFigures> {
  const headers = await signedIn(base);
  const read = async <T>(address: string) =>
    (await (await fetch(`${base}/api${address}`, { headers })).json()) as T;
  const { pilots } = await read<{ pilots: { id: string }[] }>('/roster');
  const { weaknesses } = await read<{ weaknesses: { id: string }[] }>('/today');
  const one = <T>(of: readonly T[], turn: number) => of[turn % of.length]!;
  const now = () => new Date().toISOString();
  const kinds: Readonly<Record<string, (turn: number) => BenchRequest>> = {
    today: () => ({ what: 'mix', method: 'GET', path: () => '/api/today' }),
    weakness: (turn) => ({
      ...{ what: 'mix', method: 'GET' },
      path: () => `/api/weaknesses/${one(weaknesses, turn).id}?reps=lately`,
    }),
    rep: (turn) => ({
      ...{ what: 'mix', method: 'PUT', path: () => `/api/reps/${uuid()}` },
      body: () =>
        JSON.stringify({
          ...{
            weaknessId: one(weaknesses, turn).id,
            drillId: 'hold-off-hover',
            purpose: 'practice',
            met: true,
          },
          ...{ missReason: null, side: null, band: 'calm', flownOn: 'craft', mode: 'height-hold' },
          ...{ pilotRelative: false, pack: 1, day: now().slice(0, 10), flownAt: now() },
        }),
    }),
    log: (turn) => ({
      ...{ what: 'mix', method: 'PUT', path: () => `/api/occurrences/${uuid()}` },
      body: () =>
        JSON.stringify({
          ...{ pilotId: one(pilots, turn).id, kind: 'near-miss', causeId: 'overcontrol', note: 'Bench.' },
          ...{ craftId: null, siteId: null, windMps: 2, happenedAt: now(), day: now().slice(0, 10) },
        }),
    }),
  };
  const mixed = (turn: number) => kinds[one(TURNS, turn)]!(turn);
  await sendEvenly(base, headers, mixed, { seconds: WARM_UP_SECONDS });
  const [server, database] = [processMs(pid), databaseMs()];
  const [mix, health] = await Promise.all([
    sendEvenly(base, headers, mixed, { seconds: SECONDS }),
    sendEvenly(base, {}, () => ({ what: 'healthz', method: 'GET', path: () => '/healthz' }), {
      ...{ seconds: SECONDS, perSecond: 2 },
    }),
  ]);
  const requests = mix.answered + mix.failed;
  return {
    ...{ seconds: SECONDS, requests, failed: mix.failed },
    serverMs: (processMs(pid) - server) / requests,
    databaseMs: (databaseMs() - database) / requests,
    ...{ p50: mix.p50, p99: mix.p99, healthP50: health.p50, healthP99: health.p99 },
  };
}

/** The same in words, a line each: what, and the figure. */
export const sayMix = (mix: MixFigures): readonly (readonly [what: string, figure: string])[] => [
  [
    `Demo school, 40 % Today, 25 % a weakness, 25 % a rep, 10 % an entry: 50 requests a second for ${mix.seconds} s`,
    '',
  ],
  ['  answered, failed', `${mix.requests - mix.failed}, ${mix.failed}`],
  [
    '  processor time a request, server and database (aim: 8 ms)',
    `${mix.serverMs.toFixed(2)} + ${mix.databaseMs.toFixed(2)} = ${(mix.serverMs + mix.databaseMs).toFixed(2)} ms`,
  ],
  ['  p50, p99', `${mix.p50.toFixed(1)}, ${mix.p99.toFixed(1)} ms`],
  ['  /healthz meanwhile, p50, p99', `${mix.healthP50.toFixed(1)}, ${mix.healthP99.toFixed(1)} ms`],
];
