import { Choice } from '../../shared/forms/Choice';
import { Words } from '../../shared/ui/Words';
import { type Ghost } from './bests';

interface GhostChoiceProps {
  readonly ghost: Ghost;
  readonly hasBest: boolean;
  readonly onGhost: (ghost: Ghost) => void;
}

const OPTIONS: readonly { readonly value: Ghost; readonly label: string }[] = [
  { value: 'none', label: 'Nothing' },
  { value: 'way', label: 'The way' },
  { value: 'best', label: 'Your best' },
];

/** What is drawn into the field to fly after. */
export function GhostChoice({ ghost, hasBest, onGhost }: GhostChoiceProps) {
  return (
    <>
      <Choice label="Drawn into the field" options={OPTIONS} value={ghost} onChange={onGhost} />
      {ghost === 'best' && !hasBest ? (
        <Words as="soft">None yet on this device: the first that is met is drawn next time.</Words>
      ) : null}
    </>
  );
}
