import { causeWords, familyWords } from '@skelby/copy/causes';
import { trainingCaseWords } from '@skelby/copy/training-cases';
import { type Agreement, LEAST_CASES } from '@skelby/core/agreement/agreement';
import {
  againstSet,
  amongTrainers,
  type CaseApart,
  casesApart,
  stillToJudge,
} from '@skelby/core/agreement/judged';
import {
  TRAINING_CASES,
  type TrainingCase,
  type TrainingCaseId,
} from '@skelby/core/agreement/training-cases';
import type { FamilyId } from '@skelby/core/causes/cause';
import type { CauseId } from '@skelby/core/causes/causes';
import type { AgreementPage } from '@skelby/core/pages/agreement';
import { percent } from '@skelby/core/vocabulary/percent';
import { useState } from 'react';
import { useAgreement, useJudgeCase } from '../../offline/agreement-queries';
import { useWho } from '../../shared/api/use-who';
import { plural } from '../../shared/copy/copy';
import { Button } from '../../shared/ui/Button';
import { CauseRows, FamilyRows } from '../../shared/ui/CausePicker';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { Row, Rows } from '../../shared/ui/Rows';
import { Part, Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';

const named = (causeId: CauseId) => causeWords(causeId).name;
const figure = (value: number) => value.toFixed(2);

/** A figure of agreement with what it may be by chance; nothing where so few cases say nothing. */
const agreementWords = (what: string, agreement: Agreement | null): string | null =>
  agreement?.interval
    ? `${what} ${figure(agreement.value)}, 95 % interval ${figure(agreement.interval.low)} to ${figure(agreement.interval.high)}.`
    : null;

/** A case as it was told, and where it is filed: first the family, then the cause. */
function ToJudge({
  of,
  onJudge,
}: {
  readonly of: TrainingCase;
  readonly onJudge: (causeId: CauseId) => void;
}) {
  const [familyId, setFamilyId] = useState<FamilyId | null>(null);
  return (
    <>
      <Words>{`“${trainingCaseWords(of.id).told}”`}</Words>
      <Part
        heading={familyId === null ? 'What came first?' : familyWords(familyId).name}
        end={
          familyId === null ? null : (
            <Button kind="quiet" icon="arrow-left" label="Other kinds" onPress={() => setFamilyId(null)} />
          )
        }
      >
        {familyId === null ? (
          <FamilyRows onPick={setFamilyId} />
        ) : (
          <CauseRows familyId={familyId} onPick={onJudge} />
        )}
      </Part>
    </>
  );
}

/** What the case was written to say, once it is judged. */
function Settled({ caseId, causeId }: { readonly caseId: TrainingCaseId; readonly causeId: CauseId }) {
  const written = TRAINING_CASES.find(({ id }) => id === caseId)!.causeId;
  const isSame = written === causeId;
  return (
    <Note
      icon={isSame ? 'check' : 'info'}
      heading={isSame ? 'So it was written' : `Written as: ${named(written)}`}
    >
      {isSame ? null : <Words as="soft">{`You said: ${named(causeId)}`}</Words>}
      <Words>{trainingCaseWords(caseId).settles}</Words>
    </Note>
  );
}

const othersWords = ({ others }: CaseApart): string =>
  others.length === 0
    ? 'nobody else yet'
    : others.map(([causeId, count]) => `${named(causeId)}${count > 1 ? ` (${count})` : ''}`).join(', ');

/** Figures beyond chance, and what they mean. */
function Figures({ of }: { readonly of: readonly (string | null)[] }) {
  const lines = of.filter((line) => line !== null);
  return lines.length > 0 ? (
    <Words as="soft">{`${lines.join(' ')} 1 is always the same, 0 as often as chance.`}</Words>
  ) : (
    <Words as="soft">{`What chance makes of it is told from ${LEAST_CASES} cases on.`}</Words>
  );
}

/** Figures of one's own and of the school, and the cases that parted them. */
function Told({ page }: { readonly page: AgreementPage }) {
  const mine = againstSet(page.own);
  const among = amongTrainers(page);
  const apart = casesApart(page);
  return (
    <>
      <Part heading="You and the cases as written">
        <Words>{`The same in ${mine.same} of ${mine.cases}.`}</Words>
        <Figures of={[agreementWords('Gwet’s AC1', mine.ac1), agreementWords('Cohen’s kappa', mine.kappa)]} />
      </Part>
      <Part heading="Among trainers here">
        {among ? (
          <>
            <Words>{`Two of them say the same in ${percent(among.same)}, over ${plural(among.cases, 'case')}.`}</Words>
            <Figures of={[agreementWords('Gwet’s AC1', among)]} />
          </>
        ) : (
          <Words as="soft">Nobody else has judged these cases yet.</Words>
        )}
      </Part>
      {page.trainers.length > 0 ? (
        <Part heading="For a lead: each and the cases as written">
          <Rows>
            {page.trainers.map(({ name, judged }) => {
              const { same, cases } = againstSet(judged);
              return <Row key={name} title={name} under={`The same in ${same} of ${cases}`} />;
            })}
          </Rows>
          <Words as="soft">
            By name, for a talk about the cases. So few say little of a trainer, and nothing about how good
            one is.
          </Words>
        </Part>
      ) : null}
      {apart.length > 0 ? (
        <Part heading="Judged apart">
          <Rows>
            {apart.map((each) => (
              <Row
                key={each.caseId}
                title={`You: ${named(each.mine)} · written as: ${named(each.written)}`}
                under={`Others: ${othersWords(each)}. “${trainingCaseWords(each.caseId).told}”`}
              />
            ))}
          </Rows>
        </Part>
      ) : null}
    </>
  );
}

function Judging({ page, accountId }: { readonly page: AgreementPage; readonly accountId: string }) {
  const judge = useJudgeCase();
  const [seen, setSeen] = useState(true);
  const [next] = stillToJudge(page.own, accountId);
  const last = judge.variables;
  const isSettled = !seen && last !== undefined && page.own.some(({ caseId }) => caseId === last.caseId);
  return (
    <Screen
      title="Same case, same cause?"
      up="/kit"
      aside={page.own.length > 0 ? <Told page={page} /> : null}
    >
      <Words as="soft">
        {`${page.own.length} of ${TRAINING_CASES.length} judged. Made-up cases that every trainer here judges alone; what you say first stays, and only then you see what others said.`}
      </Words>
      {judge.error ? <Words as="strong" role="alert">{`! ${judge.error.message}`}</Words> : null}
      {isSettled ? (
        <>
          <Settled {...last} />
          <Button
            kind="solid"
            label={next ? 'Next case' : 'Done'}
            onPress={() => {
              setSeen(true);
              judge.reset();
            }}
          />
        </>
      ) : next ? (
        <ToJudge
          key={next.id}
          of={next}
          onJudge={(causeId) => {
            setSeen(false);
            judge.mutate({ caseId: next.id, causeId });
          }}
        />
      ) : (
        <Words>All judged. Talk about those you judged apart.</Words>
      )}
    </Screen>
  );
}

/** Whether trainers who hear the same story find the same cause. */
export function AgreementScreen() {
  const query = useAgreement();
  const me = useWho();
  return (
    <Loaded query={query} title="Same case, same cause?" up="/kit">
      {(page) => <Judging page={page} accountId={me?.accountId ?? ''} />}
    </Loaded>
  );
}
