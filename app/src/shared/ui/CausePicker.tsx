import { FAMILIES } from '@skelby/core/causes/cause';
import { CAUSES, type CauseId } from '@skelby/core/causes/causes';
import { PressRow, Rows } from './Rows';

export function FamilyRows({ onPick }: { readonly onPick: (familyId: string) => void }) {
  return (
    <Rows>
      {FAMILIES.map((family) => (
        <PressRow key={family.id} title={family.name} under={family.hint} onPress={() => onPick(family.id)} />
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
      {CAUSES.filter((cause) => cause.family === familyId).map((cause) => (
        <PressRow key={cause.id} title={cause.name} under={cause.sign} onPress={() => onPick(cause.id)} />
      ))}
    </Rows>
  );
}
