import { ULog } from '@foxglove/ulog';
import { sentence } from '../../vocabulary/said';
import { RecordingProblem } from '../recording-problem';
import type { Column, Table } from '../table/table';
import { assertRows } from '../row-limit';

/** Bytes of a file, by their place. */
export interface Bytes {
  readonly size: number;
  readonly read: (offset: number, length: number) => Promise<Uint8Array>;
}

const FLAG_BITS = 'B'.charCodeAt(0);
/** Header of the file, and of a message: ULog specification. */
const HEADER = 16;
const MESSAGE_HEADER = 3;
const FLAG_BYTES = 40;
/** The only incompatible flag that is specified: data appended behind the end. */
const APPENDED = 1;
const MICRO = 1e6;
/** Elements of an array field that become columns of their own. */
const MOST_ELEMENTS = 8;

interface Flags {
  readonly appended: boolean;
}

/**
 * What the flag message says. The reader below neither knows a flag that is new nor returns what was appended, so it is
 * looked at first.
 * @throws RecordingProblem where the file says that a reader must know more
 */
async function flagsOf(bytes: Bytes): Promise<Flags> {
  const message = await bytes.read(HEADER, Math.min(MESSAGE_HEADER + FLAG_BYTES, bytes.size - HEADER));
  if (message[2] !== FLAG_BITS || message.length < MESSAGE_HEADER + FLAG_BYTES) return { appended: false };
  const incompatible = message.subarray(MESSAGE_HEADER + 8, MESSAGE_HEADER + 16);
  const unknown = incompatible.some((flags, i) => (i === 0 ? (flags & ~APPENDED) !== 0 : flags !== 0));
  if (unknown) throw new RecordingProblem(sentence('recording.ulog-flags'));
  return { appended: (incompatible[0]! & APPENDED) !== 0 };
}

/** One topic as it is read: a time and a row of figures for each message. */
class Topic {
  readonly times: number[] = [];
  readonly columns = new Map<string, number[]>();

  constructor(readonly name: string) {}

  add(value: Readonly<Record<string, unknown>>): void {
    this.times.push(Number(value['timestamp']) / MICRO);
    for (const [field, figure] of Object.entries(value)) if (field !== 'timestamp') this.put(field, figure);
  }

  private put(field: string, figure: unknown): void {
    if (typeof figure === 'number' || typeof figure === 'boolean' || typeof figure === 'bigint')
      this.at(field, Number(figure));
    else if (Array.isArray(figure) || ArrayBuffer.isView(figure))
      [...(figure as ArrayLike<unknown> as unknown[])].slice(0, MOST_ELEMENTS).forEach((each, i) => {
        if (typeof each === 'number') this.at(`${field}[${i}]`, each);
      });
  }

  private at(field: string, figure: number): void {
    const column = this.columns.get(field) ?? [];
    if (column.length === 0) this.columns.set(field, column);
    while (column.length < this.times.length - 1) column.push(NaN);
    column.push(figure);
  }

  table(): Table {
    const time: Column = {
      ...{ name: 'time', unit: 's', kind: 'number', words: [] },
      values: Float64Array.from(this.times),
    };
    const columns = [...this.columns].map(([field, values]): Column => ({
      ...{ name: `${this.name}.${field}`, unit: null, kind: 'number', words: [] },
      values: Float64Array.from(values),
    }));
    return { length: this.times.length, columns: [time, ...columns] };
  }
}

/** Each topic of a ULog file as a table, and what the reader has to leave out. */
export interface ULogRead {
  readonly topics: readonly { readonly name: string; readonly table: Table }[];
  /** What was appended behind its end is not read. */
  readonly leftOut: boolean;
}

/**
 * Topics of a ULog file, by the published specification.
 * @throws RecordingProblem where it is broken, or asks for more than this reader knows
 */
export async function readULog(bytes: Bytes): Promise<ULogRead> {
  const { appended } = await flagsOf(bytes);
  const log = new ULog({
    open: () => Promise.resolve(bytes.size),
    read: bytes.read,
    size: () => bytes.size,
  });
  const topics = new Map<number, Topic>();
  let rows = 0;
  try {
    await log.open();
    for await (const message of log.readMessages({ includeLogs: false })) {
      if (!('value' in message)) continue;
      rows += 1;
      assertRows(rows);
      const known = topics.get(message.msgId);
      const topic = known ?? new Topic(log.subscriptions.get(message.msgId)?.name ?? String(message.msgId));
      if (!known) topics.set(message.msgId, topic);
      topic.add(message.value as unknown as Readonly<Record<string, unknown>>);
    }
  } catch (error) {
    if (error instanceof RecordingProblem || !(error instanceof Error)) throw error;
    throw new RecordingProblem(sentence('recording.ulog-broken', { why: error.message.slice(0, 120) }));
  }
  if (topics.size === 0) throw new RecordingProblem(sentence('recording.ulog-empty'));
  return {
    topics: [...topics.values()].map((topic) => ({ name: topic.name, table: topic.table() })),
    leftOut: appended,
  };
}
