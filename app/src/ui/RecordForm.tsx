import { yupResolver } from '@hookform/resolvers/yup';
import { type Href, useRouter } from 'expo-router';
import { Controller, type FieldValues, type Path, type Resolver, useForm } from 'react-hook-form';
import { View } from 'react-native';
import type { AnyObjectSchema } from 'yup';
import { ApiProblem } from '../api/client';
import { Button } from './Button';
import { LongChoice, type Option } from './Choice';
import { Screen } from './Screen';
import { TextBox } from './TextBox';
import { Words } from './Words';

/** One question of a form. */
export type Question =
  | { readonly name: string; readonly label: string; readonly ask: 'line' | 'text' | 'day'; readonly hint?: string }
  | { readonly name: string; readonly label: string; readonly ask: 'number'; readonly hint?: string }
  | { readonly name: string; readonly label: string; readonly ask: 'choice'; readonly options: readonly Option<string | number | boolean>[] };

interface RecordFormProps {
  readonly title: string;
  readonly up: Href;
  readonly shape: AnyObjectSchema;
  readonly questions: readonly Question[];
  readonly values: FieldValues;
  readonly onSave: (fields: unknown) => Promise<unknown>;
}

/** A form for one record: the same shape checks it here and on the server, and nothing typed is cleared. */
export function RecordForm({ title, up, shape, questions, values, onSave }: RecordFormProps) {
  const router = useRouter();
  const form = useForm<FieldValues>({ defaultValues: values, resolver: yupResolver(shape) as unknown as Resolver<FieldValues> });
  const { errors, isSubmitting } = form.formState;
  const save = form.handleSubmit(async (fields) => {
    try {
      await onSave(fields);
      if (router.canGoBack()) router.back(); else router.replace(up);
    } catch (error) {
      if (!(error instanceof Error)) throw error;
      const named = error instanceof ApiProblem ? error.errors.filter((each) => questions.some((question) => question.name === each.field)) : [];
      for (const each of named) form.setError(each.field as Path<FieldValues>, { message: each.message });
      if (named.length === 0) form.setError('root', { message: error.message });
    }
  });
  const errorOf = (name: string) => errors[name]?.message as string | undefined;
  return (
    <Screen
      title={title} up={up}
      foot={
        <>
          {Object.keys(errors).length > 0 ? <Words as="strong" role="alert">{`! ${errors.root?.message ?? 'Not saved: see what is marked above.'}`}</Words> : null}
          <Button kind="main" icon="check" label={isSubmitting ? 'Saving …' : 'Save'} disabled={isSubmitting} onPress={() => void save()} />
        </>
      }
    >
      <View style={{ gap: 20, maxWidth: 620 }}>
        {questions.map((question) => (
          <Controller
            key={question.name} control={form.control} name={question.name}
            render={({ field }) => (question.ask === 'choice' ? (
              <View>
                <LongChoice label={question.label} options={question.options} value={field.value as string | number | boolean | null} onChange={field.onChange} />
                {errorOf(question.name) ? <Words as="strong" role="alert">{`! ${errorOf(question.name)}`}</Words> : null}
              </View>
            ) : (
              <TextBox
                label={question.label} hint={question.hint} value={field.value === null || field.value === undefined ? '' : String(field.value)} onChangeText={field.onChange} onBlur={field.onBlur}
                error={errorOf(question.name)} multiline={question.ask === 'text'} inputMode={question.ask === 'number' ? 'decimal' : 'text'}
              />
            ))}
          />
        ))}
      </View>
    </Screen>
  );
}
