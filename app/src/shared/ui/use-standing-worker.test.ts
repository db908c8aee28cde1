import { act, renderHook } from '@testing-library/react-native';
import { useStandingWorker } from './use-standing-worker';

class FakeWorker {
  static made: FakeWorker[] = [];
  readonly posted: number[] = [];
  onmessage: ((event: { data: string }) => void) | null = null;
  onerror: (() => void) | null = null;
  isEnded = false;

  constructor() {
    FakeWorker.made.push(this);
  }

  postMessage(wish: number) {
    this.posted.push(wish);
  }

  terminate() {
    this.isEnded = true;
  }
}

const make = () => new FakeWorker() as unknown as Worker;
const here = (wish: number) => `here ${wish}`;
const using = (wish: number) =>
  renderHook<string | null, { wish: number }>((props) => useStandingWorker(make, here, props.wish), {
    initialProps: { wish },
  });
const globals = globalThis as { Worker?: unknown };
const { Worker: known } = globals;

beforeEach(() => {
  FakeWorker.made = [];
  globals.Worker = FakeWorker;
});
afterAll(() => {
  globals.Worker = known;
});

test('one worker stays for every wish, each posted once, and ends with the screen', () => {
  const { result, rerender, unmount } = using(1);
  expect(result.current).toBeNull();
  rerender({ wish: 2 });
  rerender({ wish: 2 });
  rerender({ wish: 3 });
  expect(FakeWorker.made).toHaveLength(1);
  const [worker] = FakeWorker.made;
  expect(worker!.posted).toEqual([1, 2, 3]);
  act(() => worker!.onmessage!({ data: 'beside 2' }));
  expect(result.current).toBe('beside 2');
  act(() => worker!.onmessage!({ data: 'beside 3' }));
  expect(result.current).toBe('beside 3');
  unmount();
  expect(worker!.isEnded).toBe(true);
});

test('a worker that does not load leaves it to the page, the newest wish first', () => {
  const { result, rerender } = using(1);
  rerender({ wish: 2 });
  act(() => FakeWorker.made[0]!.onerror!());
  expect(result.current).toBe('here 2');
  rerender({ wish: 3 });
  expect(result.current).toBe('here 3');
  expect(FakeWorker.made[0]!.isEnded).toBe(true);
});

test('without workers the page works it out', () => {
  delete globals.Worker;
  const { result, rerender } = using(1);
  expect(result.current).toBe('here 1');
  rerender({ wish: 2 });
  expect(result.current).toBe('here 2');
  expect(FakeWorker.made).toHaveLength(0);
});
