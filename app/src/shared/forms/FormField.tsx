import { type ControllerRenderProps, type FieldValues } from 'react-hook-form';
import { type ReactNode, useId, useState } from 'react';
import { View } from 'react-native';
import { type Speaking, useUnits } from '../api/use-units';
import { Words } from '../ui/Words';
import { LongChoice, ManyChoice } from './Choice';
import type { FormQuestion } from './form-question';
import { PickBox } from './PickBox';
import { TextBox } from './TextBox';
import { useFocusWhereWrong } from './use-focus-where-wrong';

/** Limits are checked in SI and told in the school's units. */
export const limitsIn = (message: string, { say, from, unit }: Speaking): string =>
  message
    .replace(
      /from ([\d.]+) to ([\d.]+) (m\/s|m)\b/g,
      (_, least: string, most: string, si: string) =>
        `from ${Number(from(Number(least), si).toFixed(1))} to ${Number(from(Number(most), si).toFixed(1))} ${unit(si)}`,
    )
    .replace(
      /(below|above) ([\d.]+) (m\/s|m)\b/g,
      (_, side: string, limit: string, si: string) => `${side} ${say(Number(limit), si)}`,
    );

interface QuantityBoxProps {
  readonly question: FormQuestion & { readonly ask: 'number' };
  readonly value: number | string | null;
  readonly onChange: (value: number | string) => void;
  readonly onBlur: () => void;
  readonly error: string | undefined;
}

const asNumber = (text: string): number | null =>
  /^\s*-?\d+([.,]\d+)?\s*$/.test(text) ? Number(text.replace(',', '.')) : null;
const SHOWN_PLACES = 2;

/**
 * A number typed in the school's unit and kept in SI. What is no number is kept as it was typed, for the
 * shape to refuse.
 */
function QuantityBox({ question, value, onChange, onBlur, error }: QuantityBoxProps) {
  const { unit, from, to } = useUnits();
  const { si } = question;
  const start = () =>
    value === null || value === undefined || value === ''
      ? ''
      : si && typeof value === 'number'
        ? String(Number(from(value, si).toFixed(SHOWN_PLACES)))
        : String(value);
  const [typed, setTyped] = useState(start);
  const type = (text: string) => {
    setTyped(text);
    const number = asNumber(text);
    onChange(number === null ? text : si ? to(number, si) : number);
  };
  return (
    <TextBox
      label={si ? `${question.label}, ${unit(si)}` : question.label}
      hint={question.hint}
      value={typed}
      onChangeText={type}
      onBlur={onBlur}
      error={error}
      inputMode="decimal"
    />
  );
}

/** A choice, with what is wrong with it. */
function Marked({ error, children }: { readonly error: string | undefined; readonly children: ReactNode }) {
  const id = useId();
  const box = useFocusWhereWrong<View>(error);
  return (
    <View ref={box} {...(error ? { role: 'group', 'aria-invalid': true, 'aria-describedby': id } : {})}>
      {children}
      {error ? <Words as="strong" role="alert" nativeID={id}>{`! ${error}`}</Words> : null}
    </View>
  );
}

interface FormFieldProps {
  readonly question: FormQuestion;
  readonly field: ControllerRenderProps<FieldValues>;
  readonly error: string | undefined;
}

/** What one question is answered with. */
export function FormField({ question, field, error }: FormFieldProps) {
  const { onChange, onBlur } = field;
  switch (question.ask) {
    case 'choice':
      return (
        <Marked error={error}>
          <LongChoice
            label={question.label}
            options={question.options}
            none={question.none}
            value={field.value as string | number | boolean | null}
            onChange={onChange}
          />
        </Marked>
      );
    case 'many':
      return (
        <Marked error={error}>
          <ManyChoice
            label={question.label}
            options={question.options}
            values={(field.value as string[] | null) ?? []}
            onChange={onChange}
          />
        </Marked>
      );
    case 'number':
      return (
        <QuantityBox
          question={question}
          value={field.value as number | string | null}
          onChange={onChange}
          onBlur={onBlur}
          error={error}
        />
      );
    case 'day':
    case 'time':
      return (
        <PickBox
          kind={question.ask === 'day' ? 'date' : 'time'}
          label={question.label}
          hint={question.hint}
          value={typeof field.value === 'string' ? field.value : ''}
          onChange={onChange}
          onBlur={onBlur}
          error={error}
        />
      );
    default:
      return (
        <TextBox
          label={question.label}
          hint={question.ask === 'told' ? undefined : question.hint}
          value={field.value === null || field.value === undefined ? '' : String(field.value)}
          onChangeText={onChange}
          onBlur={onBlur}
          error={error}
          multiline={question.ask === 'text'}
        />
      );
  }
}
