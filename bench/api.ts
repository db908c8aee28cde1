import autocannon from 'autocannon';
import { v7 as uuid } from 'uuid';
import { DEMO_TRAINERS } from '../server/src/demo/school';
import { CannotGoOn } from '../tools/say';

const SECONDS = 10;
const PER_SECOND = 50;
const CONNECTIONS = 10;

/** A debrief in its middle. */
const DEBRIEF = { craft: null, evidence: { phase: 'turn', nose: 95, travel: 'forward', obstacle_side: 'ahead', speed_mps: 9, seen_at_m: 14, wind_mps: 4, feeling: 'tense' } };

export interface ApiFigures {
  readonly what: string;
  /** Milliseconds. */
  readonly p50: number;
  readonly p95: number;
  readonly p99: number;
  readonly answered: number;
  readonly failed: number;
}

/** Headers of a trainer of the demo school. */
export async function signedIn(base: string): Promise<Record<string, string>> {
  const { email, password } = DEMO_TRAINERS[0];
  const signIn = await fetch(`${base}/api/sign-in`, { method: 'POST', headers: { Origin: base, 'Content-Type': 'application/json' }, body: JSON.stringify({ email, password }) });
  const cookie = signIn.headers.get('Set-Cookie')?.split(';')[0];
  if (!cookie) throw new CannotGoOn(`The bench could not sign in (${signIn.status}).`);
  return { Cookie: cookie, Origin: base, 'Content-Type': 'application/json' };
}

/** Today, logging an occurrence and recording a rep, each at a steady rate; every write is a new row. */
export async function measureApi(base: string): Promise<readonly ApiFigures[]> {
  const headers = await signedIn(base);
  const read = async <T>(address: string) => (await (await fetch(`${base}/api${address}`, { headers })).json()) as T;
  const { pilots } = await read<{ pilots: { id: string }[] }>('/roster');
  const { weaknesses } = await read<{ weaknesses: { id: string }[] }>('/today');
  const now = () => new Date().toISOString();
  const day = now().slice(0, 10);

  const occurrence = () => JSON.stringify({ pilotId: pilots[0]!.id, kind: 'near-miss', causeId: 'overcontrol', note: 'Bench.', craftId: null, siteId: null, windMps: 2, happenedAt: now(), day });
  let turn = 0;
  const rep = () => JSON.stringify({
    weaknessId: weaknesses[(turn += 1) % weaknesses.length]!.id, drillId: 'hold-off-hover', purpose: 'practice', met: true, missReason: null, side: null, band: 'calm', flownOn: 'craft', mode: 'height-hold', pilotRelative: false, pack: 1, day, flownAt: now(),
  });
  const asked: readonly { readonly what: string; readonly request: autocannon.Request }[] = [
    { what: 'Today', request: { method: 'GET', path: '/api/today' } },
    { what: 'Log an occurrence', request: { method: 'PUT', setupRequest: (request) => ({ ...request, path: `/api/occurrences/${uuid()}`, body: occurrence() }) } },
    { what: 'Rank a debrief of eight answers (aim: p95 under 20 ms)', request: { method: 'POST', path: '/api/v1/rank', body: JSON.stringify(DEBRIEF) } },
    { what: 'Record a rep, in turn at each open weakness', request: { method: 'PUT', setupRequest: (request) => ({ ...request, path: `/api/reps/${uuid()}`, body: rep() }) } },
  ];
  const figures: ApiFigures[] = [];
  for (const { what, request } of asked) {
    const times: number[] = [];
    const result = await new Promise<autocannon.Result>((resolve, reject) => {
      autocannon({ url: base, duration: SECONDS, overallRate: PER_SECOND, connections: CONNECTIONS, headers, requests: [request] }, (error: Error | null, done) => { if (error) reject(error); else resolve(done); })
        .on('response', (_client, _status, _bytes, responseMs) => { times.push(responseMs); });
    });
    times.sort((a, b) => a - b);
    const at = (share: number) => times[Math.min(times.length - 1, Math.ceil(share * times.length) - 1)]!;
    figures.push({ what, p50: at(0.5), p95: at(0.95), p99: at(0.99), answered: result['2xx'], failed: result.non2xx + result.errors });
  }
  return figures;
}
