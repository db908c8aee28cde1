import http from 'node:http';
import { setTimeout } from 'node:timers/promises';
import { v7 as uuid } from 'uuid';
import { DEMO_TRAINERS } from '../server/src/demo/school';
import { CannotGoOn } from '../tools/say';

const SECONDS = 10;
const PER_SECOND = 50;
const WARM_UP_SECONDS = 4;

/** A debrief in its middle. */
const DEBRIEF = {
  craft: null,
  evidence: {
    phase: 'turn',
    nose: 95,
    travel: 'forward',
    obstacle_side: 'ahead',
    speed_mps: 9,
    seen_at_m: 14,
    wind_mps: 4,
    feeling: 'tense',
  },
};

export interface ApiFigures {
  readonly what: string;
  /** Milliseconds. */
  readonly p50: number;
  readonly p95: number;
  readonly p99: number;
  readonly answered: number;
  readonly failed: number;
}

/** For how long, and how often; absent: fifty a second. */
interface Rate {
  readonly seconds: number;
  readonly perSecond?: number;
}

export interface BenchRequest {
  readonly what: string;
  readonly method: string;
  readonly path: () => string;
  readonly body?: () => string;
}

/**
 * Sends one request every fiftieth of a second, whether the ones before have been answered or not, as people
 * would.
 * The time of each runs from when it was due: a stall of the server is felt by all that come in it.
 */
export async function sendEvenly(
  base: string,
  headers: Record<string, string>,
  ask: BenchRequest | ((turn: number) => BenchRequest),
  { seconds, perSecond = PER_SECOND }: Rate,
): Promise<ApiFigures> {
  const agent = new http.Agent({ keepAlive: true });
  const send = ({ method, path, body }: BenchRequest, due: number) =>
    new Promise<{ ms: number; ok: boolean }>((resolve) => {
      const failed = () => {
        resolve({ ms: performance.now() - due, ok: false });
      };
      const address = base + path();
      const given = body?.();
      const ask = (): void => {
        const request = http
          .request(
            address,
            { method, headers: { ...headers, 'Accept-Encoding': 'gzip' }, agent },
            (answer) => {
              answer
                .resume()
                .once('error', failed)
                .once('end', () => {
                  resolve({ ms: performance.now() - due, ok: (answer.statusCode ?? 500) < 300 });
                });
            },
          )
          .once('error', (error: NodeJS.ErrnoException) => {
            // The server closed an idle connection as this was sent: every browser sends it again.
            if (request.reusedSocket && error.code === 'ECONNRESET') ask();
            else failed();
          });
        request.end(given);
      };
      ask();
    });
  const askedIn = (turn: number) => (typeof ask === 'function' ? ask(turn) : ask);
  const { what } = askedIn(0);
  const started = performance.now();
  const sent: ReturnType<typeof send>[] = [];
  for (let turn = 0; turn < seconds * perSecond; turn += 1) {
    const due = started + (turn * 1000) / perSecond;
    const wait = due - performance.now();
    if (wait > 0) await setTimeout(wait);
    sent.push(send(askedIn(turn), due));
  }
  const answers = await Promise.all(sent);
  agent.destroy();
  const times = answers.map((answer) => answer.ms).sort((a, b) => a - b);
  const at = (share: number) => times[Math.ceil(share * times.length) - 1]!;
  const answered = answers.filter((answer) => answer.ok).length;
  return { what, p50: at(0.5), p95: at(0.95), p99: at(0.99), answered, failed: answers.length - answered };
}

/** Headers of a trainer of the demo school. */
export async function signedIn(base: string): Promise<Record<string, string>> {
  const { email, password } = DEMO_TRAINERS[0];
  const signIn = await fetch(`${base}/api/sign-in`, {
    method: 'POST',
    headers: { Origin: base, 'Content-Type': 'application/json' },
    body: JSON.stringify({ email, password }),
  });
  const cookie = signIn.headers.get('Set-Cookie')?.split(';')[0];
  if (!cookie) throw new CannotGoOn(`The bench could not sign in (${signIn.status}).`);
  return { Cookie: cookie, Origin: base, 'Content-Type': 'application/json' };
}

/** Today, logging an occurrence and recording a rep, each at a steady rate; every write is a new row. */
export async function measureApi(base: string): Promise<readonly ApiFigures[]> {
  const headers = await signedIn(base);
  const read = async <T>(address: string) =>
    (await (await fetch(`${base}/api${address}`, { headers })).json()) as T;
  const { pilots } = await read<{ pilots: { id: string }[] }>('/roster');
  const { weaknesses } = await read<{ weaknesses: { id: string }[] }>('/today');
  const now = () => new Date().toISOString();
  const day = now().slice(0, 10);

  const occurrence = () =>
    JSON.stringify({
      pilotId: pilots[0]!.id,
      kind: 'near-miss',
      causeId: 'overcontrol',
      note: 'Bench.',
      craftId: null,
      siteId: null,
      windMps: 2,
      happenedAt: now(),
      day,
    });
  let turn = 0;
  const rep = () =>
    JSON.stringify({
      weaknessId: weaknesses[(turn += 1) % weaknesses.length]!.id,
      drillId: 'hold-off-hover',
      purpose: 'practice',
      met: true,
      missReason: null,
      side: null,
      band: 'calm',
      flownOn: 'craft',
      mode: 'height-hold',
      pilotRelative: false,
      pack: 1,
      day,
      flownAt: now(),
    });
  const asked: readonly BenchRequest[] = [
    { what: 'Today', method: 'GET', path: () => '/api/today' },
    { what: 'Log an occurrence', method: 'PUT', path: () => `/api/occurrences/${uuid()}`, body: occurrence },
    {
      what: 'Rank a debrief of eight answers (aim: p95 under 20 ms)',
      method: 'POST',
      path: () => '/api/v1/rank',
      body: () => JSON.stringify(DEBRIEF),
    },
    {
      what: 'Record a rep, in turn at each open weakness',
      method: 'PUT',
      path: () => `/api/reps/${uuid()}`,
      body: rep,
    },
  ];
  const figures: ApiFigures[] = [];
  for (const each of asked) {
    await sendEvenly(base, headers, each, { seconds: WARM_UP_SECONDS });
    figures.push(await sendEvenly(base, headers, each, { seconds: SECONDS }));
  }
  return figures;
}
