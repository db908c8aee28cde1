import { methodOptions } from '@skelby/copy/methods';
import { savePilot } from '@skelby/core/commands/handles';
import {
  type Methods,
  OWN_METHOD_QUESTIONS,
  type OwnMethods,
  USUAL_METHODS,
} from '@skelby/core/methods/methods';
import type { Pilot } from '@skelby/core/pages/pages';
import { pilotShape } from '@skelby/core/schemas/records';
import { useLocalSearchParams } from 'expo-router';
import { entryOf } from '../../offline/outbox/commands';
import { useRoster } from '../../offline/overlay/use-roster';
import { useSave } from '../../offline/overlay/record-queries';
import { fieldsOf } from '../../shared/forms/fields-of';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { MethodQuestionRow } from './MethodQuestionRow';

const TITLE = 'How this pilot is taught';
const AS_SCHOOL = 'as-school';

/** The school's way first, then the others. */
function optionsFor(question: keyof OwnMethods, school: Methods) {
  const usual = school[question];
  const options = methodOptions(question);
  const asSchool = options.find(({ value }) => value === usual)!;
  return [
    { value: AS_SCHOOL, label: `As the school: ${asSchool.label.toLowerCase()}` },
    ...options.filter(({ value }) => value !== usual),
  ];
}

function OwnMethodsOf({ pilot, school }: { readonly pilot: Pilot; readonly school: Methods }) {
  const save = useSave();
  const own = pilot.methods ?? {};
  const put = (question: keyof OwnMethods, answer: string) => {
    const methods = { ...own, [question]: answer === AS_SCHOOL ? null : answer };
    const fields = { basedOn: pilot.revision, ...fieldsOf(pilot, pilotShape), methods } as never;
    save.mutate(entryOf(savePilot, { id: pilot.id }, fields, `how ${pilot.name} is taught`));
  };
  return (
    <Screen title={TITLE} under={pilot.name} up={`/pilots/${pilot.id}`}>
      {OWN_METHOD_QUESTIONS.map((question) => {
        // What the school does by now is no exception any more.
        const answer = own[question] ?? null;
        return (
          <MethodQuestionRow
            key={question}
            question={question}
            options={optionsFor(question, school)}
            value={answer === null || answer === school[question] ? AS_SCHOOL : answer}
            onChange={(next) => put(question, next)}
          />
        );
      })}
      {save.error ? <Words as="strong" role="alert">{`! ${save.error.message}`}</Words> : null}
      <Words as="soft">
        With help or without from the start is asked among the pilot’s own details. Plans made from now on
        follow.
      </Words>
    </Screen>
  );
}

/** What one pilot is taught otherwise than the school teaches. */
export function OwnMethodsScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const roster = useRoster();
  return (
    <Loaded query={roster} title={TITLE} up={`/pilots/${id}`}>
      {({ pilots, methods }) => {
        const pilot = pilots.find((each) => each.id === id);
        return pilot ? (
          <OwnMethodsOf pilot={pilot} school={{ ...USUAL_METHODS, ...methods }} />
        ) : (
          <Screen title={TITLE} up="/pilots">
            <Note icon="help-circle" heading="Not here">
              There is no such pilot in your school.
            </Note>
          </Screen>
        );
      }}
    </Loaded>
  );
}
