import { messageWords } from '@skelby/copy/say';
import { yupResolver } from '@hookform/resolvers/yup';
import type { Href } from 'expo-router';
import {
  Controller,
  type FieldValues,
  type Path,
  type Resolver,
  useForm,
  type UseFormReturn,
} from 'react-hook-form';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import type { AnyObjectSchema } from 'yup';
import { ApiProblem, type Clash } from '../api/client';
import { useUnits } from '../api/use-units';
import { useKeptFields } from './use-kept-fields';
import { BothVersions } from './BothVersions';
import { May } from '../ui/May';
import { Button } from '../ui/Button';
import { FormField, limitsIn } from './FormField';
import { KindPicker } from './KindPicker';
import type { FormQuestion, KindChoice } from './form-question';
import { Screen } from '../ui/Screen';
import { useGoBack } from '../ui/use-go-back';
import { Note } from '../ui/Note';
import { Words } from '../ui/Words';
import { sayTime } from '../copy/dates';
import { offerUndo } from '../ui/undo';

interface RecordFormProps {
  readonly title: string;
  readonly up: Href;
  readonly shape: AnyObjectSchema;
  readonly questions: readonly FormQuestion[];
  readonly values: FieldValues;
  readonly onSave: (fields: Readonly<Record<string, unknown>>) => Promise<unknown>;
  /** Where one of a kind has usual values. */
  readonly kinds?: KindChoice;
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

/** What was changed here before, and the way back to what is saved. */
function NotSaved({ since, onAnew }: { readonly since: number; readonly onAnew: () => void }) {
  return (
    <Note icon="edit" heading="Not saved yet">
      <Words>{`Changed ${sayTime(new Date(since).toISOString())}, and kept on this phone.`}</Words>
      <Button kind="quiet" label="Begin again from what is saved" onPress={onAnew} />
    </Note>
  );
}

/**
 * Which questions are asked: what is usual for a kind stays folded.
 * @param wrong names of what is wrong: it is seen, wherever it stands
 */
function useFolded(kinds: KindChoice | undefined, wrong: readonly string[]) {
  const [isUnfolded, setUnfolded] = useState(false);
  const isAlways = (name: string) => kinds === undefined || kinds.asked.includes(name);
  const isFolded =
    kinds !== undefined && !isUnfolded && wrong.every((name) => name === 'root' || isAlways(name));
  return {
    isFolded,
    isAsked: ({ name }: FormQuestion) => !isFolded || isAlways(name),
    unfold: () => setUnfolded(true),
  };
}

interface AskedProps {
  readonly form: UseFormReturn<FieldValues>;
  readonly questions: readonly FormQuestion[];
  readonly kinds: KindChoice | undefined;
  readonly errorOf: (name: string) => string | undefined;
  /** What is usual for a kind was filled in. */
  readonly onKind: () => void;
}

/** The questions, one under the other. */
function Asked({ form, questions, kinds, errorOf, onKind }: AskedProps) {
  const { isFolded, isAsked, unfold } = useFolded(kinds, Object.keys(form.formState.errors));
  return (
    <>
      {kinds ? (
        <KindPicker
          kinds={kinds}
          onPick={(fields) => {
            for (const [name, value] of Object.entries(fields)) form.setValue(name, value);
            onKind();
          }}
        />
      ) : null}
      {questions.filter(isAsked).map((question) => (
        <Controller
          key={question.name}
          control={form.control}
          name={question.name}
          render={({ field }) => (
            <FormField question={question} field={field} error={errorOf(question.name)} />
          )}
        />
      ))}
      {isFolded ? <Button kind="quiet" icon="chevron-down" label={kinds!.rest} onPress={unfold} /> : null}
    </>
  );
}

/** Back to what is saved; and back again to what was typed. */
function useBeginAnew(
  form: UseFormReturn<FieldValues>,
  values: FieldValues,
  { keepChanged, forget }: ReturnType<typeof useKeptFields>,
) {
  const [round, beginRound] = useState(0);
  const drawAnew = () => beginRound((last) => last + 1);
  const show = (fields: FieldValues) => {
    form.reset(fields);
    drawAnew();
  };
  const beginAnew = () => {
    const was = form.getValues();
    offerUndo('Changes thrown away', () => {
      show(was);
      keepChanged(was);
    });
    show(values);
    forget();
  };
  return { round, drawAnew, beginAnew };
}

/** A form for one record: the same shape checks it here and on the server, and nothing typed is cleared. */
export function RecordForm({ title, up, shape, questions, values, onSave, kinds }: RecordFormProps) {
  const units = useUnits();
  const kept = useKeptFields(title, values);
  const form = useForm<FieldValues>({
    defaultValues: { ...values, ...kept.fields },
    resolver: yupResolver(shape) as unknown as Resolver<FieldValues>,
  });
  const { errors } = form.formState;
  const [clash, setClash] = useState<Clash | null>(null);
  const { keepChanged } = kept;
  const { round, drawAnew, beginAnew } = useBeginAnew(form, values, kept);
  useEffect(() => {
    const watching = form.watch((now) => keepChanged(now));
    return () => watching.unsubscribe();
  }, [form, keepChanged]);
  const goBack = useGoBack(up);
  const leave = () => {
    kept.forget();
    goBack();
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
      {kept.isKept && !clash ? <NotSaved since={kept.since} onAnew={beginAnew} /> : null}
      <View key={round} style={{ gap: 20, maxWidth: 620, display: clash ? 'none' : 'flex' }}>
        <Asked form={form} questions={questions} kinds={kinds} errorOf={errorOf} onKind={drawAnew} />
      </View>
    </Screen>
  );
}
