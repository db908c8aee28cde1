import { messageWords } from '@skelby/copy/say';
import { yupResolver } from '@hookform/resolvers/yup';
import { type Href, useRouter } from 'expo-router';
import {
  Controller,
  type ControllerRenderProps,
  type FieldValues,
  type Path,
  type Resolver,
  useForm,
  type UseFormReturn,
} from 'react-hook-form';
import { useState } from 'react';
import { View } from 'react-native';
import type { AnyObjectSchema } from 'yup';
import { ApiProblem, type Clash } from '../api/client';
import { type Speaking, useUnits } from '../api/use-units';
import { BothVersions } from './BothVersions';
import { May } from '../ui/May';
import { Button } from '../ui/Button';
import { LongChoice, ManyChoice } from './Choice';
import type { FormQuestion } from './form-question';
import { Screen } from '../ui/Screen';
import { TextBox } from './TextBox';
import { Words } from '../ui/Words';

interface RecordFormProps {
  readonly title: string;
  readonly up: Href;
  readonly shape: AnyObjectSchema;
  readonly questions: readonly FormQuestion[];
  readonly values: FieldValues;
  readonly onSave: (fields: Readonly<Record<string, unknown>>) => Promise<unknown>;
}

/** Limits are checked in SI and told in the school's units. */
const limitsIn = (message: string, { say, from, unit }: Speaking): string =>
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

interface AnswerProps {
  readonly question: FormQuestion;
  readonly field: ControllerRenderProps<FieldValues>;
  readonly error: string | undefined;
}

/** What one question is answered with. */
function Answer({ question, field, error }: AnswerProps) {
  const { onChange, onBlur } = field;
  switch (question.ask) {
    case 'choice':
      return (
        <View>
          <LongChoice
            label={question.label}
            options={question.options}
            value={field.value as string | number | boolean | null}
            onChange={onChange}
          />
          {error ? <Words as="strong" role="alert">{`! ${error}`}</Words> : null}
        </View>
      );
    case 'many':
      return (
        <ManyChoice
          label={question.label}
          options={question.options}
          values={(field.value as string[] | null) ?? []}
          onChange={onChange}
        />
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

/** Puts what the server refused beside its fields. @returns whether it named one of them */
function markNamed(
  error: Error,
  questions: readonly FormQuestion[],
  form: UseFormReturn<FieldValues>,
): boolean {
  const named =
    error instanceof ApiProblem
      ? error.errors.filter((each) => questions.some((question) => question.name === each.field))
      : [];
  for (const { field, message } of named) form.setError(field as Path<FieldValues>, { message });
  return named.length > 0;
}

function SaveFoot({
  form: {
    formState: { errors, isSubmitting },
  },
  onSave,
}: {
  readonly form: UseFormReturn<FieldValues>;
  readonly onSave: () => void;
}) {
  return (
    <>
      {Object.keys(errors).length > 0 ? (
        <Words as="strong" role="alert">
          {`! ${errors.root?.message ?? 'Not saved: see what is marked above.'}`}
        </Words>
      ) : null}
      <May right="keep-records">
        <Button
          kind="main"
          icon="check"
          label={isSubmitting ? 'Saving …' : 'Save'}
          disabled={isSubmitting}
          onPress={onSave}
        />
      </May>
    </>
  );
}

/** A form for one record: the same shape checks it here and on the server, and nothing typed is cleared. */
export function RecordForm({ title, up, shape, questions, values, onSave }: RecordFormProps) {
  const router = useRouter();
  const units = useUnits();
  const form = useForm<FieldValues>({
    defaultValues: values,
    resolver: yupResolver(shape) as unknown as Resolver<FieldValues>,
  });
  const { errors } = form.formState;
  const [clash, setClash] = useState<Clash | null>(null);
  const leave = () => {
    if (router.canGoBack()) router.back();
    else router.replace(up);
  };
  const saveWith = (override: Clash['override']) =>
    form.handleSubmit(async (fields) => {
      try {
        setClash(null);
        await onSave({ ...fields, ...override });
        leave();
      } catch (error) {
        if (!(error instanceof Error)) throw error;
        if (error instanceof ApiProblem && error.clash.theirs) {
          setClash(error.clash);
          return;
        }
        if (!markNamed(error, questions, form)) form.setError('root', { message: error.message });
      }
    });
  const errorOf = (name: string) =>
    errors[name]?.message === undefined ? undefined : limitsIn(messageWords(errors[name].message), units);
  return (
    <Screen
      title={title}
      up={up}
      foot={clash ? undefined : <SaveFoot form={form} onSave={() => void saveWith(undefined)()} />}
    >
      {clash ? (
        <BothVersions
          by={clash.by ?? null}
          mine={form.getValues()}
          theirs={clash.theirs!}
          questions={questions}
          onMine={() => void saveWith(clash.override)()}
          onTheirs={() => {
            form.reset({ ...form.getValues(), ...clash.theirs });
            setClash(null);
            leave();
          }}
        />
      ) : null}
      <View style={{ gap: 20, maxWidth: 620, display: clash ? 'none' : 'flex' }}>
        {questions.map((question) => (
          <Controller
            key={question.name}
            control={form.control}
            name={question.name}
            render={({ field }) => (
              <Answer question={question} field={field} error={errorOf(question.name)} />
            )}
          />
        ))}
      </View>
    </Screen>
  );
}
