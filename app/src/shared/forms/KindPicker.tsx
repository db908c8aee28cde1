import { useKeptState } from '../storage/use-kept-state';
import { Choice } from './Choice';
import type { KindChoice } from './form-question';

/** One tap for what is usual. */
export function KindPicker({
  kinds: { label, kinds },
  onPick,
}: {
  readonly kinds: KindChoice;
  readonly onPick: (fields: Readonly<Record<string, unknown>>) => void;
}) {
  const [picked, setPicked] = useKeptState<string | null>('kind', null);
  return (
    <Choice
      label={label}
      acts
      options={kinds.map((kind) => ({ value: kind.id, label: kind.label }))}
      value={picked}
      onChange={(id) => {
        setPicked(id);
        onPick(kinds.find((kind) => kind.id === id)!.fields);
      }}
    />
  );
}
