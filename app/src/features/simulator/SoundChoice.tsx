import { Choice } from '../../shared/forms/Choice';
import { Part } from '../../shared/ui/Screen';

const VOLUMES = [
  { value: 0, label: 'Off' },
  { value: 0.35, label: 'Low' },
  { value: 1, label: 'Full' },
] as const;
export type Volume = (typeof VOLUMES)[number]['value'];
export const USUAL_VOLUME: Volume = 0.35;

/** How loud the craft is: power and wash are heard before they are seen. */
export const SoundChoice = ({
  volume,
  onVolume,
}: {
  readonly volume: Volume;
  readonly onVolume: (volume: Volume) => void;
}) => (
  <Part heading="Sound">
    <Choice label="Rotors, wash, wind" value={volume} onChange={onVolume} options={VOLUMES} />
  </Part>
);
