import type { Option } from './Choice';

/** One question of a form. */
export type FormQuestion =
  | {
      readonly name: string;
      readonly label: string;
      readonly ask: 'line' | 'text' | 'day';
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
