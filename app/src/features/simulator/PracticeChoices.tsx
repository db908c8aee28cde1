import { failsafeWords } from '@skelby/copy/places';
import type { WordedDrill } from '@skelby/copy/drills';
import { PILOTED_MODES } from '@skelby/core/simulator/control/control';
import { FAILSAFES } from '@skelby/core/reconstruct/return-height';
import { SURROUNDINGS, type PracticeSurroundings } from '@skelby/core/simulator/surroundings';
import { type CraftRecord, craftFacts, SPEED_SETTINGS } from '@skelby/core/vocabulary/craft-facts';
import { STICK_LAYOUTS, type StickLayout } from '@skelby/core/vocabulary/flying';
import {
  GUSTS,
  type Gusts,
  LEAST_CHARGE_PERCENT,
  LEAST_TILT_DEG,
  MOST_PRACTICE_WIND_MPS,
  MOST_TILT_DEG,
} from '@skelby/core/schemas/practice-link';
import { useUnits } from '../../shared/api/use-units';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { Choice } from '../../shared/forms/Choice';
import { Part } from '../../shared/ui/Screen';
import { Stepper } from '../../shared/forms/Stepper';
import { Words } from '../../shared/ui/Words';
import { MODE_WORDS, sentenceCase, SETTING_WORDS, SIDE_WORDS } from '../../shared/copy/copy';
import { FULL_PERCENT, type PracticeSettings } from './settings';
import type { Tilt } from './tilt';

const AROUND_WORDS: Readonly<Record<PracticeSurroundings, string>> = {
  none: 'Open field',
  poles: 'Poles',
  trees: 'Trees',
  wires: 'Wires',
  walls: 'Walls',
  roof: 'A roof',
  gates: 'Gates',
};
const GUST_WORDS: Readonly<Record<Gusts, string>> = { none: 'None', usual: 'Usual', strong: 'Strong' };
const ON_OFF = [
  { value: true, label: 'On' },
  { value: false, label: 'Off' },
] as const;
const LEAST_RETURN_M = 5;
const MOST_RETURN_M = 120;

interface ChoicesProps {
  readonly drill: Pick<WordedDrill, 'sides'>;
  readonly settings: PracticeSettings;
  readonly craft: CraftRecord;
  readonly craftId: string | null;
  readonly crafts: readonly { readonly id: string; readonly name: string }[];
  readonly layout: StickLayout;
  readonly tilt: Tilt;
  readonly onChange: (part: Partial<PracticeSettings>) => void;
  readonly onCraft: (id: string | null) => void;
  readonly onLayout: (layout: StickLayout) => void;
}

type Settings = Pick<ChoicesProps, 'settings' | 'onChange'>;

/** What helps the pilot: hold, and sensors. */
function Help({ settings, craft, onChange }: Settings & Pick<ChoicesProps, 'craft'>) {
  const facts = craftFacts(craft);
  return (
    <>
      <Choice
        label="Hold drops by itself"
        value={settings.holdDrops}
        onChange={(holdDrops) => onChange({ holdDrops })}
        options={ON_OFF}
      />
      {facts.sensorSides.length > 0 ? (
        <Choice
          label="Obstacle sensors"
          value={settings.sensors}
          onChange={(sensors) => onChange({ sensors })}
          options={ON_OFF}
        />
      ) : null}
      {facts.sensorSides.length > 0 && settings.sensors ? (
        <Words as="soft">{`They look ${facts.sensorSides.join(', ')}; they do not see wires, twigs and thin poles, and are off ${facts.sensorsInFast ? '' : 'in the fast setting and '}without hold.`}</Words>
      ) : null}
    </>
  );
}

/** What the craft does when the link is lost. */
function ByItself({ settings, onChange }: Settings) {
  const units = useUnits();
  const length = (value: number | null, least: number, most: number) =>
    value === null || value < 0 ? null : Math.min(most, Math.max(least, units.to(value, 'm')));
  return (
    <>
      <Choice
        label="On a lost link"
        value={settings.onLinkLoss}
        onChange={(onLinkLoss) => onChange({ onLinkLoss })}
        options={FAILSAFES.map((value) => ({ value, label: sentenceCase(failsafeWords(value)) }))}
      />
      <Stepper
        label="Return height"
        unit={units.unit('m')}
        value={units.from(settings.returnHeightM, 'm')}
        step={5}
        least={units.from(LEAST_RETURN_M, 'm')}
        most={units.from(MOST_RETURN_M, 'm')}
        onChange={(value) => {
          const height = length(value, LEAST_RETURN_M, MOST_RETURN_M);
          if (height !== null) onChange({ returnHeightM: height });
        }}
      />
    </>
  );
}

function HowFlown({ drill, settings, craft, onChange }: Settings & Pick<ChoicesProps, 'drill' | 'craft'>) {
  return (
    <Part heading="How it is flown">
      {drill.sides.length > 0 ? (
        <Choice
          label="Side"
          value={settings.side}
          onChange={(side) => onChange({ side })}
          options={drill.sides.map((value) => ({ value, label: SIDE_WORDS[value] }))}
        />
      ) : null}
      <Choice
        label="Mode"
        value={settings.mode}
        onChange={(mode) => onChange({ mode })}
        options={PILOTED_MODES.map((value) => ({ value, label: MODE_WORDS[value] }))}
      />
      <Choice
        label="Speed setting"
        value={settings.setting}
        onChange={(setting) => onChange({ setting })}
        options={SPEED_SETTINGS.map((value) => ({ value, label: SETTING_WORDS[value] }))}
      />
      {craftFacts(craft).hasPilotRelative && settings.mode !== 'rate' ? (
        <Choice
          label="Pilot-relative"
          value={settings.relative}
          onChange={(relative) => onChange({ relative })}
          options={ON_OFF}
        />
      ) : null}
      {craftFacts(craft).hasPilotRelative && settings.mode !== 'rate' ? (
        <Choice
          label="You walk round while it flies"
          value={settings.walks}
          onChange={(walks) => onChange({ walks })}
          options={ON_OFF}
        />
      ) : null}
      <Help settings={settings} craft={craft} onChange={onChange} />
      <ByItself settings={settings} onChange={onChange} />
      <Stepper
        label="Charge of the battery"
        unit="%"
        value={settings.chargePercent}
        step={5}
        least={LEAST_CHARGE_PERCENT}
        most={FULL_PERCENT}
        onChange={(value) => {
          if (value !== null)
            onChange({ chargePercent: Math.min(FULL_PERCENT, Math.max(LEAST_CHARGE_PERCENT, value)) });
        }}
      />
    </Part>
  );
}

function AirAround({ settings, onChange }: Settings) {
  const units = useUnits();
  return (
    <Part heading="Air and surroundings">
      <Stepper
        label="Wind"
        unit={units.unit('m/s')}
        value={units.from(settings.windMps, 'm/s')}
        step={1}
        least={0}
        most={units.from(MOST_PRACTICE_WIND_MPS, 'm/s')}
        onChange={(value) => {
          if (value !== null && value >= 0)
            onChange({ windMps: Math.min(MOST_PRACTICE_WIND_MPS, units.to(value, 'm/s')) });
        }}
      />
      <Choice
        label="Gusts"
        value={settings.gusts}
        onChange={(gusts) => onChange({ gusts })}
        options={GUSTS.map((value) => ({ value, label: GUST_WORDS[value] }))}
      />
      <Choice
        label="A stream of air across the field"
        value={settings.jet}
        onChange={(jet) => onChange({ jet })}
        options={ON_OFF}
      />
      <Choice
        label="Around it"
        value={settings.around}
        onChange={(around) => onChange({ around })}
        options={SURROUNDINGS.map((value) => ({ value, label: AROUND_WORDS[value] }))}
      />
    </Part>
  );
}

function CraftAndSticks({
  settings,
  onChange,
  craftId,
  crafts,
  layout,
  tilt,
  onCraft,
  onLayout,
}: Settings & Omit<ChoicesProps, 'drill' | 'craft'>) {
  return (
    <Part heading="Craft and sticks">
      {crafts.length > 0 ? (
        <Choice
          label="Craft"
          value={craftId ?? ''}
          onChange={(id) => onCraft(id || null)}
          options={[
            { value: '', label: 'Usual' },
            ...crafts.map(({ id, name }) => ({ value: id, label: name })),
          ]}
        />
      ) : null}
      <Stepper
        label="Camera tilted up"
        unit="°"
        value={settings.cameraDeg}
        step={5}
        least={LEAST_TILT_DEG}
        most={MOST_TILT_DEG}
        onChange={(value) => {
          if (value !== null)
            onChange({ cameraDeg: Math.min(MOST_TILT_DEG, Math.max(LEAST_TILT_DEG, value)) });
        }}
      />
      <Choice
        label="Transmitter"
        value={layout}
        onChange={onLayout}
        options={STICK_LAYOUTS.map((value) => ({ value, label: `Mode ${value}` }))}
      />
      <ButtonRow>
        <Button
          icon="smartphone"
          label={tilt.on ? 'Stop flying by tilt' : 'Tilt flies pitch and roll'}
          pressed={tilt.on}
          onPress={tilt.toggle}
        />
      </ButtonRow>
      {tilt.failed ? <Words as="strong" role="alert">{`! ${tilt.failed}`}</Words> : null}
      <Words as="soft">Keys: W A S D for the left stick, arrows for the right.</Words>
    </Part>
  );
}

/** How it is flown: craft, help, wind, and what stands around. */
export function PracticeChoices(props: ChoicesProps) {
  return (
    <>
      <HowFlown {...props} />
      <AirAround {...props} />
      <CraftAndSticks {...props} />
    </>
  );
}
