import { useMay } from '../../shared/api/use-may';
import type { QuestionId } from '@skelby/core/evidence/questions';
import { questionWords, valueWords } from '@skelby/copy/questions';
import { causeWords } from '@skelby/copy/causes';
import { setUnits, switchExperience } from '@skelby/core/commands/handles';
import { LENGTH_UNITS, SPEED_UNITS, type Units as SchoolUnits } from '@skelby/core/vocabulary/units';
import { changesBy, type CauseChange } from '@skelby/core/ranking/learn';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import type { SchoolExperience } from '@skelby/core/pages/pages';
import { useUnits } from '../../shared/api/use-units';
import { useExperience } from '../../offline/overlay/debrief-queries';
import { useSaveNow } from '../../offline/overlay/record-queries';
import { Button, ButtonRow, LinkButton } from '../../shared/ui/Button';
import { Choice } from '../../shared/forms/Choice';
import { Loaded } from '../../shared/ui/Loaded';
import { Part, Screen } from '../../shared/ui/Screen';
import { themed } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';
import { plural } from '../../shared/copy/copy';
import { Calibration } from './Calibration';
import { Exchange } from './Exchange';
import { Reporting } from './Reporting';
import { FlightFiles } from './FlightFiles';
import { Retention } from './Retention';

const useStyles = themed((theme) => ({
  cause: { borderTopWidth: 2, borderTopColor: theme.ink, paddingVertical: 10, gap: 4 },
  line: { flexDirection: 'row', gap: 12 },
  words: { flex: 1 },
}));

const percent = (chance: number) => `${(chance * 100).toFixed(chance < 0.1 ? 1 : 0)}\u00a0%`;

function Units() {
  const { units } = useUnits();
  const save = useSaveNow(setUnits);
  const put = (part: Partial<SchoolUnits>) => save.mutate({ keys: {}, body: { ...units, ...part } });
  return (
    <Part heading="Units">
      <Words as="soft">
        What the school reads and types. Records, files and the API stay in metres and seconds.
      </Words>
      <Choice
        label="Lengths"
        options={LENGTH_UNITS.map((value) => ({ value, label: value }))}
        value={units.length}
        onChange={(length) => put({ length })}
      />
      <Choice
        label="Speeds"
        options={SPEED_UNITS.map((value) => ({ value, label: value }))}
        value={units.speed}
        onChange={(speed) => put({ speed })}
      />
      {save.error ? <Words as="strong" role="alert">{`! ${save.error.message}`}</Words> : null}
    </Part>
  );
}

const SHOWN = 3;

function Change({ change }: { readonly change: CauseChange }) {
  const styles = useStyles();
  const [all, setAll] = useState(false);
  const answers = all ? change.answers : change.answers.slice(0, SHOWN);
  return (
    <View style={styles.cause}>
      <View style={styles.line}>
        <Words
          as="strong"
          style={styles.words}
        >{`${causeWords(change.causeId).name} · ${plural(change.count, 'debrief')}`}</Words>
        <Words as="figure">{`${percent(change.from)} → ${percent(change.to)}`}</Words>
      </View>
      {answers.map(({ question, value, from, to, count }) => {
        return (
          <View key={`${question} ${value}`} style={styles.line}>
            <Words style={styles.words}>
              {`${questionWords(question as QuestionId).short}: ${valueWords(question as QuestionId, value).toLowerCase()} `}
              <Words as="soft">{`(${count}×)`}</Words>
            </Words>
            <Words as="figure">{`${percent(from)} → ${percent(to)}`}</Words>
          </View>
        );
      })}
      {change.answers.length > SHOWN ? (
        <Button
          kind="quiet"
          label={all ? 'Fewer' : `All ${change.answers.length} answers`}
          says={`${all ? 'Fewer' : `All ${change.answers.length} answers`} for ${causeWords(change.causeId).name}`}
          onPress={() => setAll(!all)}
        />
      ) : null}
    </View>
  );
}

function Experience({ experience }: { readonly experience: SchoolExperience }) {
  const save = useSaveNow(switchExperience);
  const changes = useMemo(() => changesBy(experience.counts), [experience.counts]);
  return (
    <Part heading="The school's own experience">
      <Words>
        {experience.lessons === 0
          ? 'Nothing learnt yet. A closed debrief teaches it where your own first guess stood, or you decided against it.'
          : `${plural(experience.lessons, 'debrief')} have taught the ranking. Going along with it teaches nothing.`}
      </Words>
      <Choice
        label="Rank by"
        value={experience.enabled}
        onChange={(enabled) => save.mutate({ keys: {}, body: { enabled } })}
        options={[
          { value: true, label: 'Starting weights and our own' },
          { value: false, label: 'Starting weights only' },
        ]}
      />
      {save.error ? <Words as="strong" role="alert">{`! ${save.error.message}`}</Words> : null}
      {changes.length > 0 ? (
        <Words as="soft">
          How often it is the cause, and the answer under it: starting weight → with ours.
        </Words>
      ) : null}
      <View>
        {changes.map((change) => (
          <Change key={change.causeId} change={change} />
        ))}
      </View>
    </Part>
  );
}

/** The licences of what is built in, as a plain file that the server keeps beside the app. */
function Notices() {
  return (
    <Part heading="What is built in">
      <Button
        kind="quiet"
        icon="file-text"
        label="Licences of the packages inside"
        onPress={() => window.open('/third-party-notices.txt')}
      />
    </Part>
  );
}

/** What the school sets for itself, and what its records have taught. */
export function SchoolScreen() {
  const experience = useExperience();
  const sees = {
    sets: useMay('set-school'),
    people: useMay('people'),
    history: useMay('history'),
    files: useMay('take-out'),
  };
  return (
    <Loaded query={experience} title="School" up="/kit">
      {(data) => (
        <Screen
          title="School"
          up="/kit"
          aside={
            <>
              <Calibration />
              {sees.sets ? <Experience experience={data} /> : null}
            </>
          }
        >
          {sees.sets ? <Units /> : null}
          <Part heading="Teaching and clearing">
            <ButtonRow>
              <LinkButton icon="git-branch" label="Methods of teaching" href="/school/methods" />
              <LinkButton icon="sliders" label="Clearing rule" href="/school/rule" />
            </ButtonRow>
          </Part>
          {sees.history ? (
            <Part heading="People">
              <ButtonRow>
                {sees.people ? (
                  <LinkButton icon="users" label="Who may do what" href="/school/people" />
                ) : null}
                <LinkButton icon="clock" label="Who did what" href="/school/history" />
              </ButtonRow>
            </Part>
          ) : null}
          {sees.sets ? <Reporting /> : null}
          <Retention />
          {sees.files ? <FlightFiles /> : null}
          {sees.files ? <Exchange /> : null}
          <Notices />
        </Screen>
      )}
    </Loaded>
  );
}
