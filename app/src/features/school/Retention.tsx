import { setRetention } from '@skelby/core/commands/handles';
import { useSaveNow } from '../../offline/overlay/record-queries';
import { useRetention } from '../../offline/people-queries';
import { useMay } from '../../shared/api/use-may';
import { plural } from '../../shared/copy/copy';
import { sayDay } from '../../shared/copy/dates';
import { Choice } from '../../shared/forms/Choice';
import { LinkRow, Rows } from '../../shared/ui/Rows';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';

/** None: for good. */
const NO_END = 0;
const YEARS = [1, 2, 3, 5, 10, NO_END] as const;

/** How long records are kept of pilots who do not fly any more, and who has not for longer. */
export function Retention() {
  const query = useRetention();
  const save = useSaveNow(setRetention);
  const maySet = useMay('set-school');
  if (!query.data) return null;
  const { keepYears, over } = query.data;
  return (
    <Part heading="Kept for">
      <Words as="soft">
        After a pilot was last seen. Nobody goes by themselves: the owner looks at each, and forgets them on
        their page.
      </Words>
      {maySet ? (
        <Choice<number>
          label="Years"
          value={keepYears ?? NO_END}
          onChange={(years) => save.mutate({ keys: {}, body: { keepYears: years || null } })}
          options={YEARS.map((value) => ({
            value,
            label: value === NO_END ? 'For good' : plural(value, 'year'),
          }))}
        />
      ) : (
        <Words>{keepYears === null ? 'For good.' : `${plural(keepYears, 'year')}.`}</Words>
      )}
      {save.error ? <Words as="strong" role="alert">{`! ${save.error.message}`}</Words> : null}
      {keepYears === null ? null : (
        <Rows empty="Nobody is kept for longer.">
          {over.map(({ id, name, lastDay }) => (
            <LinkRow key={id} href={`/pilots/${id}`} title={name} under={`last seen ${sayDay(lastDay)}`} />
          ))}
        </Rows>
      )}
    </Part>
  );
}
