import { Choice } from '../../shared/forms/Choice';
import type { useMine } from './use-mine';

/** One's own pilots, or everybody's. */
export function Whose({ shown, choose }: Pick<ReturnType<typeof useMine>, 'shown' | 'choose'>) {
  return (
    <Choice<'mine' | 'all'>
      quiet
      label="Whose pilots"
      value={shown}
      onChange={choose}
      options={[
        { value: 'mine', label: 'My pilots' },
        { value: 'all', label: 'All' },
      ]}
    />
  );
}
