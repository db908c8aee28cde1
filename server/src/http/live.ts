import { PassThrough } from 'node:stream';
import type { Knex } from 'knex';
import type { Context, Middleware } from 'koa';
import type { Changes, SchoolChange } from '../db/changes';
import { type Who, whoAsks } from './session';

/** Server-sent events (HTML Living Standard, section 9.2): that something changed, never what. */

const BEATS_EVERY_MS = 25_000;
/** A browser opens a new one by itself, and is asked who it is again. */
const LASTS_MS = 600_000;
const OF_ONE_SESSION = 6;

const CHANGED = 'event: changed\ndata:\n\n';
const BEAT = ':\n\n';

interface Stream {
  readonly sessionId: string;
  readonly out: PassThrough;
}

export interface LiveStreams {
  /** Answers with a stream. */
  readonly stream: Middleware;
  /** Ends every stream, so that the server can stop. */
  readonly end: () => void;
}

export function live(db: Knex, changes: Pick<Changes, 'hear'>): LiveStreams {
  const schools = new Map<string, Set<Stream>>();
  const all = () => [...schools.values()].flatMap((streams) => [...streams]);
  changes.hear((change: SchoolChange | null) => {
    const streams = change ? [...(schools.get(change.schoolId) ?? [])] : all();
    // Whoever entered it has it already.
    for (const { sessionId, out } of streams) if (sessionId !== change?.sessionId) out.write(CHANGED);
  });
  const beat = setInterval(() => {
    for (const { out } of all()) out.write(BEAT);
  }, BEATS_EVERY_MS);
  beat.unref();

  const join = ({ schoolId, sessionId }: Who): PassThrough => {
    const streams = schools.get(schoolId) ?? new Set();
    schools.set(schoolId, streams);
    const own = [...streams].filter((each) => each.sessionId === sessionId);
    if (own.length >= OF_ONE_SESSION) own[0]!.out.end();
    const stream = { sessionId, out: new PassThrough() };
    streams.add(stream);
    const last = setTimeout(() => stream.out.end(), LASTS_MS);
    last.unref();
    const leave = () => {
      clearTimeout(last);
      streams.delete(stream);
      if (streams.size === 0 && schools.get(schoolId) === streams) schools.delete(schoolId);
    };
    stream.out.once('close', leave).once('end', leave);
    // At once, so that whoever asks knows that it is open.
    stream.out.write(BEAT);
    return stream.out;
  };
  return {
    stream: async (ctx: Context) => {
      const out = join(await whoAsks(db, ctx));
      ctx.compress = false;
      ctx.type = 'text/event-stream';
      ctx.set('X-Accel-Buffering', 'no');
      // The answer's end and not the request's: that one has been read to its end long before.
      ctx.res.once('close', () => out.destroy());
      ctx.body = out;
    },
    end: () => {
      clearInterval(beat);
      for (const { out } of all()) out.end();
    },
  };
}

/** Works something out, and changes nothing. */
const ONLY_ASKS = new Set(['/api/v1/rank']);

/** Tells of every request that changed something, once it is done and committed. */
export const tellsOfChanges =
  (changes: Pick<Changes, 'tell'>): Middleware =>
  async (ctx, next) => {
    await next();
    if (ctx.method === 'GET' || ctx.status >= 400 || ONLY_ASKS.has(ctx.path)) return;
    const who = ctx.state['who'] as Who | undefined;
    const schoolId = who?.schoolId ?? (ctx.state['schoolOfLink'] as string | undefined);
    if (schoolId) changes.tell({ schoolId, sessionId: who?.sessionId ?? null });
  };
