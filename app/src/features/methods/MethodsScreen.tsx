import { methodOptions } from '@skelby/copy/methods';
import { setMethods } from '@skelby/core/commands/handles';
import { METHOD_QUESTIONS, type Methods, USUAL_METHODS } from '@skelby/core/methods/methods';
import { useRoster } from '../../offline/overlay/use-roster';
import { useSaveNow } from '../../offline/overlay/record-queries';
import { LinkButton } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { MethodQuestionRow } from './MethodQuestionRow';

const TITLE = 'Methods of teaching';

function MethodsOf({ methods }: { readonly methods: Methods }) {
  const save = useSaveNow(setMethods);
  return (
    <Screen
      title={TITLE}
      under="Where good instructors disagree"
      up="/school"
      aside={
        <>
          <Note icon="info" heading="No question of method">
            <Words>
              What the hands do when it goes wrong follows the craft and its mode. What the craft does alone
              when its link is lost follows the place. What clears follows the clearing rule.
            </Words>
          </Note>
          <Words as="soft">
            A plan made from now on follows; what stands in a plan stays. Insight holds the ways beside each
            other once both were taken.
          </Words>
          <LinkButton kind="quiet" icon="bar-chart-2" label="Insight" href="/insights" />
        </>
      }
    >
      {METHOD_QUESTIONS.map((question) => (
        <MethodQuestionRow
          key={question}
          question={question}
          options={methodOptions(question)}
          value={methods[question]}
          onChange={(answer) => save.mutate({ keys: {}, body: { ...methods, [question]: answer } })}
        />
      ))}
      {save.error ? <Words as="strong" role="alert">{`! ${save.error.message}`}</Words> : null}
    </Screen>
  );
}

/** How the school teaches where instructors differ. */
export function MethodsScreen() {
  const roster = useRoster();
  return (
    <Loaded query={roster} title={TITLE} up="/school">
      {({ methods }) => <MethodsOf methods={{ ...USUAL_METHODS, ...methods }} />}
    </Loaded>
  );
}
