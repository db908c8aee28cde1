import { SaxesParser } from 'saxes';
import { sentence } from '../../vocabulary/said';
import { RecordingProblem } from '../recording-problem';
import type { Column, Table } from '../table/table';

/** Nothing of GPX 1.1 is nested deeper; what is, is made to be. */
const DEEPEST = 40;
const MOST_POINTS = 1_080_000;
const MS = 1000;

const column = (
  name: string,
  unit: string | null,
  kind: Column['kind'],
  values: readonly number[],
): Column => ({
  ...{ name, unit, kind, words: [] },
  values: Float64Array.from(values),
});

/** One point that is being read. */
interface Point {
  lat: number;
  lon: number;
  ele: number;
  time: number;
}

/**
 * Track points of GPX 1.1 (Topografix, gpx.xsd), fed piece by piece. Namespaces, routes and waypoints are passed over; a
 * document type is refused, since it can make a small file an endless one.
 */
export class GpxReader {
  private readonly parser = new SaxesParser();
  private readonly points: Point[] = [];
  private readonly open: string[] = [];
  private point: Point | null = null;
  private text = '';

  constructor() {
    const { parser } = this;
    parser.on('doctype', () => {
      throw new RecordingProblem(sentence('recording.gpx-doctype'));
    });
    parser.on('error', (error) => {
      throw new RecordingProblem(sentence('recording.gpx-broken', { why: error.message.slice(0, 120) }));
    });
    parser.on('opentag', ({ name, attributes }) => this.begins(name, attributes));
    parser.on('text', (text) => {
      this.text += text;
    });
    parser.on('closetag', ({ name }) => this.ends(name));
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
    if (this.points.length > MOST_POINTS)
      throw new RecordingProblem(sentence('recording.rows', { most: MOST_POINTS }));
  }

  /** @throws RecordingProblem where it breaks off, or has no track with times */
  done(): Table {
    this.parser.close();
    const { points } = this;
    if (points.length === 0) throw new RecordingProblem(sentence('recording.gpx-no-track'));
    if (!points.some(({ time }) => Number.isFinite(time)))
      throw new RecordingProblem(sentence('recording.no-time'));
    return {
      length: points.length,
      columns: [
        column(
          'time',
          null,
          'instant',
          points.map(({ time }) => time),
        ),
        column(
          'latitude',
          'deg',
          'number',
          points.map(({ lat }) => lat),
        ),
        column(
          'longitude',
          'deg',
          'number',
          points.map(({ lon }) => lon),
        ),
        column(
          'altitude',
          'm',
          'number',
          points.map(({ ele }) => ele),
        ),
      ],
    };
  }
}
