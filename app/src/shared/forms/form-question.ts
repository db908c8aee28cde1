import type { Option } from './Choice';
import type { ChosenFrom } from './NoneYet';

/** One question of a form. */
export type FormQuestion =
  | {
      readonly name: string;
      readonly label: string;
      readonly ask: 'line' | 'text' | 'day' | 'time';
      readonly hint?: string;
    }
  | {
      readonly name: string;
      readonly label: string;
      readonly ask: 'number';
      /** SI unit of a length or speed: asked and said in the school's own. */ readonly si?: 'm' | 'm/s';
      readonly hint?: string;
    }
  | {
      readonly name: string;
      readonly label: string;
      readonly ask: 'choice';
      readonly options: readonly Option<string | number | boolean>[];
      /** What there would be to choose from, where there may be none yet. */
      readonly none?: ChosenFrom;
    }
  | {
      readonly name: string;
      readonly label: string;
      readonly ask: 'many';
      readonly options: readonly Option<string>[];
    }
  /** Never asked in a form: only told where two versions are compared. */
  | {
      readonly name: string;
      readonly label: string;
      readonly ask: 'told';
      readonly inWords: (value: unknown) => string;
    };

/** Kinds of a record: picking one fills in what is usual for it, and only the rest is asked. */
export interface KindChoice {
  readonly label: string;
  readonly kinds: readonly {
    readonly id: string;
    readonly label: string;
    readonly fields: Readonly<Record<string, unknown>>;
  }[];
  /** Questions that are asked all the same, by name. */
  readonly asked: readonly string[];
  /** What the others are called. */
  readonly rest: string;
}
