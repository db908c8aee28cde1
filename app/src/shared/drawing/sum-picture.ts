import { WIDTH } from './primitives';

type Say = (metres: number) => string;
export type Of<T> = (props: { readonly d: T; readonly say: Say }) => React.JSX.Element;

export const points = (all: readonly (readonly [number, number])[]) =>
  all.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' ');
export const LEFT = 14;
export const RIGHT = WIDTH - 20;
