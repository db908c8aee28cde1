import { useDrills } from '../../shared/api/use-drills';
import type { Clearance } from '@skelby/core/clearance/clearance';
import type { Purpose } from '@skelby/core/clearance/facts';
import type { NextStep } from '@skelby/core/clearance/next-step';
import type { WordedDrill } from '@skelby/copy/drills';
import { type DrillId, isFlown } from '@skelby/core/drills/drills';
import { widthAt } from '@skelby/core/drills/levels';
import { LEVELS } from '@skelby/core/vocabulary/training';
import { FLIGHT_MODES } from '@skelby/core/vocabulary/flying';
import { View } from 'react-native';
import { useUnits } from '../../shared/api/use-units';
import { Button } from '../../shared/ui/Button';
import { DistanceChoice } from '../../shared/forms/DistanceChoice';
import { Choice, type Option } from '../../shared/forms/Choice';
import { Words } from '../../shared/ui/Words';
import {
  BAND_RANGES,
  BAND_WORDS,
  LEVEL_NAMES,
  MODE_WORDS,
  optionsOf,
  PURPOSE_WORDS,
  SIDE_WORDS,
} from '../../shared/copy/copy';
import type { Settings } from './settings';

interface HowFlownProps {
  readonly settings: Settings;
  readonly drillIds: readonly DrillId[];
  readonly clearance: Clearance;
  readonly next: NextStep;
  readonly onDrill: (drillId: DrillId) => void;
  readonly onChange: (part: Partial<Settings>) => void;
}

const MOST_PACKS = 40;

/** Practice always; test only on a deciding drill; check only when it is due. */
export function purposesFor(
  drillId: DrillId,
  clearance: Pick<Clearance, 'charts'>,
  next: NextStep,
): readonly Purpose[] {
  const decides = clearance.charts.some((chart) => chart.drillId === drillId);
  if (!decides) return ['practice'];
  return next.do === 'check' ? ['check', 'practice'] : ['practice', 'test'];
}

/** What of the drill itself may be set: its level, its opening, its distance and its stage. */
function AsAsked({
  settings,
  drill,
  onChange,
}: Pick<HowFlownProps, 'settings' | 'onChange'> & { readonly drill: WordedDrill<DrillId> }) {
  return (
    <>
      {settings.purpose === 'practice' && isFlown(drill) ? (
        <Choice
          label="Practised"
          value={settings.level ?? 0}
          onChange={(level) =>
            onChange({ level, ...(drill.widthsSpans ? { widthSpans: widthAt(drill, level) } : {}) })
          }
          options={LEVELS.map((value) => ({ value, label: LEVEL_NAMES[value] }))}
        />
      ) : null}
      {drill.widthsSpans ? (
        <Choice
          label="Opening, in spans of the craft: tests at the narrowest"
          value={settings.widthSpans ?? null}
          onChange={(widthSpans) => onChange({ widthSpans })}
          options={drill.widthsSpans.map((spans) => ({ value: spans, label: String(spans) }))}
        />
      ) : null}
      <DistanceChoice
        drill={drill}
        distanceM={settings.distanceM ?? null}
        onChange={(distanceM) => onChange({ distanceM })}
      />
      {drill.stages ? (
        <Choice
          label="Stage"
          value={settings.stage ?? null}
          onChange={(stage) => onChange({ stage })}
          options={drill.stageNames!.map((label, i) => ({ value: i + 1, label }))}
        />
      ) : null}
    </>
  );
}

/** How the next rep is flown, one question under the other. */
export function HowFlown({ settings, drillIds, clearance, next, onDrill, onChange }: HowFlownProps) {
  const { drillOf } = useDrills();
  const drill = drillOf(settings.drillId);
  const purposes: readonly Option<Purpose>[] = purposesFor(settings.drillId, clearance, next).map(
    (value) => ({ value, label: PURPOSE_WORDS[value] }),
  );
  return (
    <View style={{ gap: 18 }}>
      <Choice
        label="Drill"
        value={settings.drillId}
        onChange={onDrill}
        options={drillIds.map((id) => ({ value: id, label: drillOf(id).name }))}
      />
      <Choice
        label="Said to the pilot beforehand: only test reps move the chart"
        value={settings.purpose}
        onChange={(purpose) => onChange({ purpose })}
        options={purposes}
      />
      {drill.sides.length > 0 ? (
        <Choice
          label="Side"
          value={settings.side}
          onChange={(side) => onChange({ side })}
          options={drill.sides.map((side) => ({ value: side, label: SIDE_WORDS[side] }))}
        />
      ) : null}
      <AsAsked settings={settings} drill={drill} onChange={onChange} />
      {isFlown(drill) ? <InTheAir settings={settings} drill={drill} onChange={onChange} /> : null}
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 12 }}>
        <Button label="−" onPress={() => onChange({ pack: Math.max(1, settings.pack - 1) })} />
        <Words as="figure">{`Pack ${settings.pack}`}</Words>
        <Button
          label="Next pack"
          icon="plus"
          onPress={() => onChange({ pack: Math.min(MOST_PACKS, settings.pack + 1) })}
        />
      </View>
    </View>
  );
}

/** Wind, craft and mode: nothing of it is asked of what is said on the ground. */
function InTheAir({
  settings,
  drill,
  onChange,
}: Pick<HowFlownProps, 'settings' | 'onChange'> & { readonly drill: WordedDrill<DrillId> }) {
  const { sentence } = useUnits();
  return (
    <>
      <Choice
        label="Wind"
        value={settings.band}
        onChange={(band) => onChange({ band })}
        options={optionsOf(BAND_WORDS).map((option) => ({
          ...option,
          label: `${option.label}, ${sentence(BAND_RANGES[option.value])}`,
        }))}
      />
      <Choice
        label="Flown on"
        value={settings.flownOn}
        onChange={(flownOn) => onChange({ flownOn })}
        options={[
          { value: 'craft' as const, label: 'Craft' },
          ...(drill.simulator === 'no-use' ? [] : [{ value: 'simulator' as const, label: 'Simulator' }]),
        ]}
      />
      <Choice
        label="Mode"
        value={settings.mode}
        onChange={(mode) => onChange({ mode })}
        options={FLIGHT_MODES.map((mode) => ({ value: mode, label: MODE_WORDS[mode] }))}
      />
      <Choice
        label="Pilot-relative"
        value={settings.pilotRelative}
        onChange={(pilotRelative) => onChange({ pilotRelative })}
        options={[
          { value: false, label: 'Off' },
          { value: true, label: 'On' },
        ]}
      />
    </>
  );
}
