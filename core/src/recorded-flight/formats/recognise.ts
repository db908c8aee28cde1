import { sentence } from '../../vocabulary/said';
import { RecordingProblem } from '../recording-problem';

/** What a file is, by what stands at its beginning; its name is not asked. */
export type FileKind = 'ulog' | 'gpx' | 'geojson' | 'table';

/** `ULog`, 0x01 and 0x12 0x35: the magic of the published ULog specification. */
const ULOG = [0x55, 0x4c, 0x6f, 0x67, 0x01, 0x12, 0x35] as const;
/** Control characters that no text has. */
const NO_TEXT = new Set([
  0, 1, 2, 3, 4, 5, 6, 7, 8, 14, 15, 16, 17, 18, 19, 20, 21, 22, 23, 24, 25, 26, 28, 29, 30, 31,
]);

export type TextEncodingName = 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';

/** How a text is encoded: by its mark, else by whether it can be UTF-8; a zero in every second byte is UTF-16. */
export function encodingOf(head: Uint8Array): TextEncodingName {
  if (head[0] === 0xff && head[1] === 0xfe) return 'utf-16le';
  if (head[0] === 0xfe && head[1] === 0xff) return 'utf-16be';
  const zeros = (from: number) => {
    let count = 0;
    for (let i = from; i < head.length; i += 2) if (head[i] === 0) count += 1;
    return count / Math.max(1, head.length / 2);
  };
  if (zeros(1) > 0.7 && zeros(0) < 0.1) return 'utf-16le';
  if (zeros(0) > 0.7 && zeros(1) < 0.1) return 'utf-16be';
  return isUtf8(head) ? 'utf-8' : 'windows-1252';
}

/** The last character may be cut in two. */
function isUtf8(head: Uint8Array): boolean {
  for (let cut = 0; cut < 4; cut += 1)
    try {
      new TextDecoder('utf-8', { fatal: true }).decode(head.subarray(0, head.length - cut));
      return true;
    } catch (error) {
      if ((error as Error).name !== 'TypeError') throw error;
    }
  return false;
}

const MOST_BYTES = 150_000_000;
const MEGA = 1e6;

/** @throws RecordingProblem where a file is larger than anything that is read */
export function assertSize(bytes: number): void {
  if (bytes > MOST_BYTES)
    throw new RecordingProblem(
      sentence('recording.too-large', { megabytes: Math.round(bytes / MEGA), most: MOST_BYTES / MEGA }),
    );
}

const notText = () => new RecordingProblem(sentence('recording.not-text'));

/**
 * @param head the first bytes of a file, some thousand of them
 * @throws RecordingProblem where it is nothing that can be read
 */
export function kindOf(head: Uint8Array): FileKind {
  if (ULOG.every((byte, i) => head[i] === byte)) return 'ulog';
  const encoding = encodingOf(head);
  if (!encoding.startsWith('utf-16') && head.some((byte) => NO_TEXT.has(byte))) throw notText();
  const text = new TextDecoder(encoding)
    .decode(head)
    .replace(/^\uFEFF/, '')
    .trimStart();
  if (text.startsWith('<')) {
    if (!/<(\w+:)?gpx[\s>]/i.test(text)) throw notText();
    return 'gpx';
  }
  if (text.startsWith('{')) return 'geojson';
  return 'table';
}
