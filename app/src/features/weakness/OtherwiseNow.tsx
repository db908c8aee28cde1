import type { Flies } from '@skelby/core/clearance/facts';
import { isOpen } from '@skelby/core/clearance/open-states';
import type { WeaknessPage } from '@skelby/core/pages/pages';
import { useStampWeakness, type WorkedOut } from '../../offline/overlay/weakness-queries';
import { useUnits } from '../../shared/api/use-units';
import { MODE_WORDS } from '../../shared/copy/copy';
import { ReasonForm } from '../../shared/forms/ReasonForm';
import { Note } from '../../shared/ui/Note';
import { Words } from '../../shared/ui/Words';

/** The pilot flies otherwise than when this was opened: what decides stays, until a trainer says otherwise. */
export function OtherwiseNow({ page, worked }: { readonly page: WeaknessPage; readonly worked: WorkedOut }) {
  const { say: sayQuantity } = useUnits();
  const stamp = useStampWeakness(page);
  const { pilot: stamped } = worked.facts;
  const { mode, windLimitMps, holdOff = false } = page.pilot;
  if (!isOpen(worked.clearance.state) && worked.clearance.state !== 'watch') return null;
  const isSame =
    stamped.mode === mode && stamped.windLimitMps === windLimitMps && (stamped.holdOff ?? false) === holdOff;
  if (isSame) return null;
  const say = (flying: Flies) =>
    `${MODE_WORDS[flying.mode].toLowerCase()}${flying.holdOff ? ', hold off too' : ''}, up to ${sayQuantity(flying.windLimitMps, 'm/s')}`;
  return (
    <Note icon="git-commit" heading="Opened for other flying">
      <Words>{`It is judged by ${say(stamped)}. ${page.pilot.name} now flies ${say(page.pilot)}.`}</Words>
      <ReasonForm
        open="Judge it by that from now on"
        question="Why? What was to be shown stays, and the test begins again."
        act="Judge by that"
        busy={stamp.isPending}
        error={stamp.error?.message ?? null}
        onGive={(reason) => stamp.mutate({ mode, windLimitMps, holdOff, reason })}
      />
    </Note>
  );
}
