import { isFirstEdition } from '@skelby/core/clearance/clearing-rule';
import { newestFirst } from '@skelby/core/vocabulary/flown-order';
import type { WeaknessPage } from '@skelby/core/pages/pages';
import { useConfirmRepError } from '../../offline/overlay/weakness-queries';
import { useDrills } from '../../shared/api/use-drills';
import { sayTime } from '../../shared/copy/dates';
import { ReasonForm } from '../../shared/forms/ReasonForm';
import { Words } from '../../shared/ui/Words';

/** Missed tests that were taken back and still count, until another trainer says that they were none. */
export function SlipsToConfirm({ page }: { readonly page: WeaknessPage }) {
  const { drillOf } = useDrills();
  const confirm = useConfirmRepError(page);
  if (isFirstEdition(page.rule)) return null;
  const open = page.reps
    .filter((rep) => rep.purpose === 'test' && !rep.met && rep.takenBack && !rep.takenBackConfirmed)
    .sort(newestFirst);
  return (
    <>
      {open.map((rep) => (
        <ReasonForm
          key={rep.id}
          open={`Missed ${drillOf(rep.drillId).name} of ${sayTime(rep.flownAt)} was taken back and still counts: confirm the slip`}
          question="What did you see? Only another trainer than the one who took it back can confirm it."
          act="It was no attempt"
          busy={confirm.isPending}
          error={confirm.error?.message ?? null}
          onGive={(reason) => confirm.mutate({ id: rep.id, reason })}
        />
      ))}
      {open.length > 0 ? <Words as="soft">Until then each counts as missed.</Words> : null}
    </>
  );
}
