import { chainInWords } from '@skelby/copy/chain';
import { causeWords } from '@skelby/copy/causes';
import { percentChance } from '@skelby/core/vocabulary/percent';
import type { CauseId } from '@skelby/core/causes/causes';
import { type Link, proposeChain, withPrimary } from '@skelby/core/debrief/chain';
import type { Findings, Missing } from '@skelby/core/debrief/findings';
import { INJURIES } from '@skelby/core/debrief/severity';
import type { Answers } from '@skelby/core/evidence/question';
import type { OccurrenceKind } from '@skelby/core/vocabulary/flying';
import type { Ranking } from '@skelby/core/ranking/rank';
import { useState } from 'react';
import { useKeptState } from '../../shared/storage/use-kept-state';
import { View } from 'react-native';
import { Button } from '../../shared/ui/Button';
import { Choice, ManyChoice } from '../../shared/forms/Choice';
import { Note } from '../../shared/ui/Note';
import { Part } from '../../shared/ui/Screen';
import { TextBox } from '../../shared/forms/TextBox';
import { Words } from '../../shared/ui/Words';
import { STANDING_LINE } from '../../shared/copy/copy';
import { ChainEditor, ChainLine } from './ChainEditor';
import { PickCause } from './OwnPick';
import { SeverityMatrix } from './SeverityMatrix';
import { INJURY_WORDS, PARTS } from './severity-copy';

export interface DecideProps {
  readonly findings: Findings;
  readonly find: (part: Partial<Findings>) => void;
  readonly ranking: Ranking;
  readonly known: Answers;
  readonly kind: OccurrenceKind;
  readonly missing: readonly Missing[];
  /** The server ranks by fresher weights and wants a reason that this phone did not ask for. */
  readonly wantsReason: boolean;
}

const NEAR = 4;
const named = (ids: readonly CauseId[]) =>
  [...new Set(ids)].map((value) => ({ value, label: causeWords(value).name }));

/** The chain that stands: the trainer's, or the proposed one until they change it. */
export function chainOf(findings: Findings, known: Answers, kind: OccurrenceKind): readonly Link[] {
  if (findings.chain.length > 0) return findings.chain;
  if (findings.primary === null) return [];
  return chainInWords(proposeChain(known, findings.primary, findings.contributing, kind));
}

function Causes({ findings, find, ranking, missing, wantsReason }: DecideProps) {
  const [picking, setPicking] = useState<'primary' | 'contributing' | null>(null);
  const { primary, ownPick, contributing } = findings;
  const top = ranking.causes.slice(0, NEAR).map((cause) => cause.id);
  const percentOf = (id: CauseId) =>
    percentChance(ranking.causes.find((cause) => cause.id === id)?.probability ?? 0);
  const candidates = named([...(ownPick ? [ownPick] : []), ...top, ...(primary ? [primary] : [])]).map(
    ({ value, label }) => ({
      value,
      label: `${label} · ${percentOf(value)}${value === ownPick ? ' · your first pick' : ''}`,
    }),
  );
  const others = named([
    ...contributing,
    ...top,
    ...ranking.conditions.filter((each) => each.probability >= 0.3).map((each) => each.id),
  ]).filter(({ value }) => value !== primary);
  const decide = (causeId: CauseId) => {
    find({
      primary: causeId,
      chain: [...withPrimary(findings.chain, primary, causeId, causeWords(causeId).name)],
      contributing: contributing.filter((id) => id !== causeId),
    });
    setPicking(null);
  };
  if (picking === 'primary') return <PickCause heading="What was behind it?" onPick={decide} />;
  if (picking === 'contributing')
    return (
      <PickCause
        heading="What else had a part in it?"
        onPick={(id) => {
          if (id !== primary) find({ contributing: [...new Set([...contributing, id])] });
          setPicking(null);
        }}
      />
    );
  const overrule =
    wantsReason || missing.some((each) => each.field === 'overruleReason') || findings.overruleReason !== '';
  return (
    <>
      <Part heading="Primary cause">
        <Choice
          label="The first thing that training can change"
          options={candidates}
          value={primary}
          onChange={decide}
        />
        <Button kind="quiet" label="Another cause" onPress={() => setPicking('primary')} />
        {overrule && primary !== null ? (
          <TextBox
            label={
              ranking.causes[0]!.id === primary
                ? "By the school's latest weights the answers put another cause first. Why do you decide otherwise?"
                : `The answers put "${causeWords(ranking.causes[0]!.id).name}" first. Why do you decide otherwise?`
            }
            value={findings.overruleReason}
            onChangeText={(overruleReason) => find({ overruleReason })}
            maxLength={300}
            multiline
          />
        ) : null}
      </Part>
      <Part heading="Contributing">
        <ManyChoice
          label="What else had a part in it"
          options={others}
          values={contributing}
          onChange={(values) => find({ contributing: [...values] })}
        />
        <Button kind="quiet" label="Another contributing cause" onPress={() => setPicking('contributing')} />
      </Part>
    </>
  );
}

function Consequences({ findings, find }: DecideProps) {
  const [part, setPart] = useKeptState('damage-part', '');
  const { injury, thirdParty, damage } = findings;
  const parts = [...new Set([...PARTS, ...damage])].map((value) => ({ value, label: value }));
  const add = () => {
    if (part.trim()) find({ damage: [...new Set([...damage, part.trim()])] });
    setPart('');
  };
  return (
    <>
      <Part heading="Injury">
        <Choice
          label="To anybody"
          options={INJURIES.map((value) => ({ value, label: INJURY_WORDS[value] }))}
          value={injury}
          onChange={(value) => find({ injury: value })}
        />
        <ManyChoice
          label="Others"
          options={[{ value: 'third', label: 'Third party involved, or their property' }]}
          values={thirdParty ? ['third'] : []}
          onChange={(values) => find({ thirdParty: values.length > 0 })}
        />
        {(injury !== null && injury !== 'none') || thirdParty ? (
          <Note
            icon="heart"
            heading="Report it as your local rules require"
          >{`An injury or a third party usually has to be reported to the authority and the insurer, often within a set time. ${STANDING_LINE}`}</Note>
        ) : null}
      </Part>
      <Part heading="Severity">
        <Words as="soft">
          Left: what it came to. Right: what it could come to next time, and how likely.
        </Words>
        <SeverityMatrix
          actual={findings.actual}
          potential={findings.potential}
          likelihood={findings.likelihood}
          onActual={(actual) => find({ actual })}
          onPotential={(potential, likelihood) => find({ potential, likelihood })}
        />
      </Part>
      <Part heading="Damage">
        <ManyChoice
          label="Part by part"
          options={parts}
          values={damage}
          onChange={(values) => find({ damage: [...values] })}
        />
        <View style={{ flexDirection: 'row', gap: 10, alignItems: 'flex-end' }}>
          <View style={{ flex: 1 }}>
            <TextBox
              label="Another part"
              value={part}
              onChangeText={setPart}
              maxLength={80}
              onSubmitEditing={add}
            />
          </View>
          <Button label="Add" onPress={add} disabled={part.trim() === ''} says="Add the part" />
        </View>
      </Part>
    </>
  );
}

function Chain({ findings, find, known, kind }: DecideProps) {
  const [editing, setEditing] = useState(false);
  const chain = chainOf(findings, known, kind);
  if (chain.length === 0) return null;
  return (
    <Part
      heading="The chain"
      end={
        <Button
          kind="quiet"
          label={editing ? 'Done' : 'Change it'}
          says={editing ? 'Done with the chain' : 'Change it: the chain'}
          onPress={() => setEditing(!editing)}
        />
      }
    >
      {editing ? (
        <ChainEditor chain={chain} onChange={(next) => find({ chain: next })} />
      ) : (
        <ChainLine chain={chain} />
      )}
      {editing && findings.chain.length > 0 ? (
        <Button kind="quiet" label="Back to the proposed chain" onPress={() => find({ chain: [] })} />
      ) : null}
    </Part>
  );
}

/** The trainer decides: causes, what came of it, what went well, and the chain. */
export function Decide(props: DecideProps) {
  const { findings, find } = props;
  return (
    <>
      <Causes {...props} />
      <Consequences {...props} />
      <Part heading="What went well">
        <TextBox
          label="Say it to the pilot too"
          value={findings.wentWell}
          onChangeText={(wentWell) => find({ wentWell })}
          maxLength={600}
          multiline
        />
      </Part>
      <Chain {...props} />
      <ManyChoice
        label="On the printed sheet"
        options={[{ value: 'withheld', label: "Leave the pilot's name out" }]}
        values={findings.nameWithheld ? ['withheld'] : []}
        onChange={(values) => find({ nameWithheld: values.length > 0 })}
      />
    </>
  );
}
