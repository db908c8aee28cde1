import { SaxesParser } from 'saxes';
import { sentence } from '../../vocabulary/said';
import { RecordingProblem } from '../recording-problem';
import { assertRows } from '../row-limit';
import type { Table } from '../table/table';
import { pointsTable, type TimedPoint } from './points-table';

/** Nothing of GPX 1.1 is nested deeper; what is, is made to be. */
const DEEPEST = 40;
const MS = 1000;

/** A name without its namespace. */
const plainName = (name: string): string => name.slice(name.indexOf(':') + 1);

/** One point that is being read. */
type Reading = { -readonly [K in keyof TimedPoint]: TimedPoint[K] };

/**
 * Track points of GPX 1.1 (Topografix, gpx.xsd), fed piece by piece. Namespaces, routes and waypoints are passed over; a
 * document type is refused, since it can make a small file an endless one.
 */
export class GpxReader {
  private readonly parser = new SaxesParser();
  private readonly points: TimedPoint[] = [];
  private readonly open: string[] = [];
  private point: Reading | null = null;
  private text = '';

  constructor() {
    const { parser } = this;
    parser.on('doctype', () => {
      throw new RecordingProblem(sentence('recording.gpx-doctype'));
    });
    parser.on('error', (error) => {
      throw new RecordingProblem(sentence('recording.gpx-broken', { why: error.message.slice(0, 120) }));
    });
    parser.on('opentag', ({ name, attributes }) => this.begins(plainName(name), attributes));
    parser.on('text', (text) => {
      this.text += text;
    });
    parser.on('closetag', ({ name }) => this.ends(plainName(name)));
  }

  write(piece: string): void {
    this.parser.write(piece);
  }

  private begins(name: string, attributes: Readonly<Record<string, string>>): void {
    this.open.push(name);
    if (this.open.length > DEEPEST) throw new RecordingProblem(sentence('recording.gpx-deep'));
    this.text = '';
    if (name !== 'trkpt') return;
    const [lat, lon] = [Number(attributes['lat']), Number(attributes['lon'])];
    if (!(Math.abs(lat) <= 90 && Math.abs(lon) <= 180))
      throw new RecordingProblem(
        sentence('recording.gpx-place', { point: this.points.length + 1, line: this.parser.line }),
      );
    this.point = { lat, lon, ele: NaN, time: NaN };
  }

  private ends(name: string): void {
    this.open.pop();
    const { point, text } = this;
    this.text = '';
    if (point === null) return;
    if (this.open.at(-1) === 'trkpt') {
      if (name === 'ele') point.ele = text.trim() === '' ? NaN : Number(text);
      if (name === 'time') point.time = Date.parse(text.trim()) / MS;
    }
    if (name !== 'trkpt') return;
    this.point = null;
    this.points.push(point);
    assertRows(this.points.length);
  }

  /** @throws RecordingProblem where it breaks off, or has no track with times */
  done(): Table {
    this.parser.close();
    const { points } = this;
    if (points.length === 0) throw new RecordingProblem(sentence('recording.gpx-no-track'));
    if (!points.some(({ time }) => Number.isFinite(time)))
      throw new RecordingProblem(sentence('recording.no-time'));
    return pointsTable(points);
  }
}
