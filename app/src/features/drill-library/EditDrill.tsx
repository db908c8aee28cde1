import { drillGroupName } from '@skelby/copy/drills';
import { useDrills } from '../../shared/api/use-drills';
import { saveDrillVersion } from '@skelby/core/commands/handles';
import { type DrillVersionFields } from '@skelby/core/commands/save-drill-version';
import { entryOf } from '../../offline/outbox/commands';
import { DRILL_GROUPS } from '@skelby/core/drills/drill';
import { isDrillId } from '@skelby/core/drills/drills';
import { isOwnDrillId } from '@skelby/core/drills/school-book';
import { ownDrillShape, standardShape } from '@skelby/core/schemas/drill';
import { useLocalSearchParams } from 'expo-router';
import { useRef } from 'react';
import { v7 as uuid } from 'uuid';
import { useDeliver } from '../../offline/outbox/use-deliver';
import { Note } from '../../shared/ui/Note';
import { RecordForm } from '../../shared/forms/RecordForm';
import type { FormQuestion } from '../../shared/forms/form-question';
import { Screen } from '../../shared/ui/Screen';

const STANDARD_QUESTIONS: readonly FormQuestion[] = [
  {
    name: 'byEye',
    label: 'Met when, by eye',
    ask: 'line',
    hint: 'One attempt, judged with marks on the ground and a phone.',
  },
  { name: 'measured', label: 'Met when, measured', ask: 'line' },
  { name: 'dose', label: 'How much', ask: 'line', hint: 'Such as 6 tries a pack.' },
];
const REASON: FormQuestion = { name: 'reason', label: 'Why?', ask: 'line', hint: 'Stays with this version.' };
const OWN_QUESTIONS: readonly FormQuestion[] = [
  { name: 'name', label: 'Name', ask: 'line' },
  { name: 'trains', label: 'What it trains', ask: 'line' },
  { name: 'task', label: 'What the pilot does', ask: 'text' },
  {
    name: 'group',
    label: 'Group',
    ask: 'choice',
    options: DRILL_GROUPS.map((value) => ({ value, label: drillGroupName(value) })),
  },
  {
    name: 'kind',
    label: 'Kind',
    ask: 'choice',
    options: [
      { value: 'flown', label: 'Flown' },
      { value: 'spoken', label: 'Spoken' },
      { value: 'ground', label: 'On the ground' },
    ],
  },
  {
    name: 'simulator',
    label: 'Simulator',
    ask: 'choice',
    options: [
      { value: 'first', label: 'First' },
      { value: 'allowed', label: 'May be used' },
      { value: 'no-use', label: 'Of no use' },
    ],
  },
  {
    name: 'sticks',
    label: 'Sticks it works',
    ask: 'many',
    options: [
      { value: 'throttle', label: 'Throttle' },
      { value: 'yaw', label: 'Yaw' },
      { value: 'pitch', label: 'Pitch' },
      { value: 'roll', label: 'Roll' },
    ],
  },
  ...STANDARD_QUESTIONS,
  { name: 'caution', label: 'Caution', ask: 'line' },
];
const BLANK = {
  name: '',
  trains: '',
  task: '',
  group: 'hover',
  kind: 'flown',
  simulator: 'allowed',
  sticks: [],
  byEye: '',
  measured: '',
  dose: '',
  caution: '',
};
const NEW = 'new';

/**
 * Changes a standard, or writes a drill of the school's own: a new version; what was flown before stays with
 * the old one.
 */
export function EditDrill() {
  const { drillOf, versionInForce } = useDrills();
  const { id } = useLocalSearchParams<{ id: string }>();
  const fresh = useRef(`own-${uuid()}`);
  const version = useRef(uuid());
  const drillId = id === NEW ? fresh.current : id;
  const save = useDeliver((body: Readonly<Record<string, unknown>>) =>
    entryOf(
      saveDrillVersion,
      { drillId, id: version.current },
      body as unknown as DrillVersionFields,
      `standard of ${String(body['name'] ?? drillOf(drillId).name)}`,
    ),
  );
  if (!isDrillId(drillId))
    return (
      <Screen title="Drill" up="/drills">
        <Note icon="help-circle" heading="Not here">
          There is no such drill.
        </Note>
      </Screen>
    );
  const isOwn = isOwnDrillId(drillId);
  const before = id === NEW ? BLANK : drillOf(drillId);
  const questions = [...(isOwn ? OWN_QUESTIONS : STANDARD_QUESTIONS), REASON];
  const values = Object.fromEntries(
    questions.map(({ name }) => [name, (before as unknown as Record<string, unknown>)[name] ?? '']),
  );
  return (
    <RecordForm
      title={id === NEW ? 'Write a drill' : isOwn ? 'Change the drill' : 'Change the standard'}
      up={id === NEW ? '/drills' : `/drills/${drillId}`}
      shape={(isOwn ? ownDrillShape : standardShape).omit(['base'])}
      questions={questions}
      values={{ ...values, reason: id === NEW ? 'Our own drill.' : '' }}
      onSave={(fields) => save.mutateAsync({ base: versionInForce(drillId), ...fields })}
    />
  );
}
