import { QUANTITY_OF, unitOf } from '../mapping/fields';
import type { MadeUpRecorder, WrittenColumn } from './recorders';
import type { SeenBy } from './what-is-true';

/**
 * Writes ULog by the published specification, version 1: header, flag bits, formats, subscriptions, data. Little endian.
 */
class Bytes {
  private readonly parts: Uint8Array[] = [];

  /** One message: its size, its type, and what is in it. */
  message(type: string, body: Uint8Array): void {
    const head = new DataView(new ArrayBuffer(3));
    head.setUint16(0, body.length, true);
    head.setUint8(2, type.charCodeAt(0));
    this.parts.push(new Uint8Array(head.buffer), body);
  }

  raw(bytes: Uint8Array): void {
    this.parts.push(bytes);
  }

  whole(): Uint8Array {
    const all = new Uint8Array(this.parts.reduce((sum, part) => sum + part.length, 0));
    let at = 0;
    for (const part of this.parts) {
      all.set(part, at);
      at += part.length;
    }
    return all;
  }
}

const text = (words: string): Uint8Array => new TextEncoder().encode(words);
const MICRO = 1e6;
/** The recorder had been on for so long, µs. */
const ON_SINCE = 5_000_000n;

/** Topics in the order in which their columns stand. */
function topicsOf(
  columns: readonly WrittenColumn[],
): readonly (readonly [string, readonly WrittenColumn[]])[] {
  const topics = new Map<string, WrittenColumn[]>();
  for (const column of columns) {
    const [topic = ''] = column.title.split('.');
    topics.set(topic, [...(topics.get(topic) ?? []), column]);
  }
  return [...topics];
}

/** @param flags of the first incompatible byte: 1 says that data is appended */
export function writeULog(
  { columns }: MadeUpRecorder,
  seen: readonly ReturnType<SeenBy['at']>[],
  flags = 0,
): Uint8Array {
  const out = new Bytes();
  const header = new DataView(new ArrayBuffer(16));
  [0x55, 0x4c, 0x6f, 0x67, 0x01, 0x12, 0x35, 0x01].forEach((byte, i) => header.setUint8(i, byte));
  header.setBigUint64(8, ON_SINCE, true);
  out.raw(new Uint8Array(header.buffer));
  const flagBits = new Uint8Array(40);
  flagBits[8] = flags;
  out.message('B', flagBits);
  const topics = topicsOf(columns);
  for (const [topic, own] of topics)
    out.message(
      'F',
      text(`${topic}:uint64_t timestamp;${own.map(({ title }) => `float ${title.split('.')[1]};`).join('')}`),
    );
  topics.forEach(([topic], id) => {
    const body = new Uint8Array(3 + topic.length);
    new DataView(body.buffer).setUint16(1, id, true);
    body.set(text(topic), 3);
    out.message('A', body);
  });
  for (const each of seen)
    topics.forEach(([, own], id) => {
      const body = new DataView(new ArrayBuffer(2 + 8 + 4 * own.length));
      body.setUint16(0, id, true);
      body.setBigUint64(2, ON_SINCE + BigInt(Math.round(each.field('time') * MICRO)), true);
      own.forEach(({ field, unit }, i) => {
        const { factor } = unitOf(QUANTITY_OF[field], unit) ?? { factor: 1 };
        body.setFloat32(10 + 4 * i, each.field(field) / factor, true);
      });
      out.message('D', new Uint8Array(body.buffer));
    });
  return out.whole();
}
