import { causeWords, familyWords } from '@skelby/copy/causes';
import { FAMILIES, type FamilyId } from '@skelby/core/causes/cause';
import { CAUSES, type CauseId } from '@skelby/core/causes/causes';
import { PressRow, Rows } from './Rows';

export function FamilyRows({ onPick }: { readonly onPick: (familyId: FamilyId) => void }) {
  return (
    <Rows>
      {FAMILIES.map((id) => (
        <PressRow
          key={id}
          title={familyWords(id).name}
          under={familyWords(id).hint}
          onPress={() => onPick(id)}
        />
      ))}
    </Rows>
  );
}

export function CauseRows({
  familyId,
  onPick,
}: {
  readonly familyId: string;
  readonly onPick: (causeId: CauseId) => void;
}) {
  return (
    <Rows>
      {CAUSES.filter((cause) => cause.family === familyId).map(({ id }) => (
        <PressRow
          key={id}
          title={causeWords(id).name}
          under={causeWords(id).sign}
          onPress={() => onPick(id)}
        />
      ))}
    </Rows>
  );
}
