import { fieldName } from '@skelby/copy/recorded-flight';
import {
  FIELDS,
  QUANTITY_OF,
  type RecordedField,
  UNITS_OF,
} from '@skelby/core/recorded-flight/mapping/fields';
import type { MappedBy, MappedColumn, Mapping } from '@skelby/core/recorded-flight/mapping/mapping';
import { FLIGHT_MODES, type FlightMode } from '@skelby/core/vocabulary/flying';
import { useState } from 'react';
import { View } from 'react-native';
import { MODE_WORDS } from '../../shared/copy/copy';
import { Choice, LongChoice } from '../../shared/forms/Choice';
import { Button } from '../../shared/ui/Button';
import { PressRow, Rows } from '../../shared/ui/Rows';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import type { ShownColumn } from './flight-file.worker';

const BY_WORDS: Readonly<Record<MappedBy, string>> = {
  header: 'as its name says',
  range: 'by its figures',
  physics: 'by how it fits the rest',
  recipe: 'by the recipe',
  hand: 'picked',
};

const NOTHING = 'nothing';

const shownNumber = (value: number | string): string =>
  typeof value === 'number' ? String(Number(value.toPrecision(6))) : value;

interface ListProps {
  readonly columns: readonly ShownColumn[];
  readonly mapping: Mapping;
  readonly onChange: (mapping: Mapping) => void;
}

/** Puts another meaning to a column; whichever had it before has none. */
function remapped(
  { columns, modes }: Mapping,
  at: number,
  to: Omit<MappedColumn, 'at' | 'because'> | null,
): Mapping {
  const others = columns.filter((each) => each.at !== at && each.field !== to?.field);
  return { modes, columns: to === null ? others : [...others, { ...to, at, because: 'hand' }] };
}

const FIELD_OPTIONS = [
  { value: NOTHING, label: 'Nothing' },
  ...FIELDS.map((value) => ({ value: value as string, label: fieldName(value) })),
];

function EditColumn({ at, columns, mapping, onChange }: ListProps & { readonly at: number }) {
  const mapped = mapping.columns.find((each) => each.at === at);
  const column = columns[at]!;
  const units = mapped ? UNITS_OF[QUANTITY_OF[mapped.field]] : [];
  const put = (to: Omit<MappedColumn, 'at' | 'because'> | null) => onChange(remapped(mapping, at, to));
  return (
    <View style={{ gap: 12, paddingBottom: 14 }}>
      <LongChoice
        label={`What “${column.name}” is`}
        options={FIELD_OPTIONS}
        value={mapped?.field ?? NOTHING}
        onChange={(value) =>
          put(
            value === NOTHING
              ? null
              : {
                  field: value as RecordedField,
                  unit: UNITS_OF[QUANTITY_OF[value as RecordedField]][0]!.id,
                  sign: 1,
                },
          )
        }
      />
      {mapped && units.length > 1 ? (
        <Choice
          label="Unit"
          options={units.map(({ id }) => ({ value: id, label: id }))}
          value={mapped.unit}
          onChange={(unit) => put({ ...mapped, unit })}
        />
      ) : null}
      {mapped && QUANTITY_OF[mapped.field] !== 'word' && mapped.field !== 'time' ? (
        <Choice
          label="Counts"
          options={[
            { value: 1, label: 'Up, right, ahead' },
            { value: -1, label: 'The other way' },
          ]}
          value={mapped.sign}
          onChange={(sign) => put({ ...mapped, sign: sign === 1 ? 1 : -1 })}
        />
      ) : null}
    </View>
  );
}

const UNKNOWN_MODE = 'unknown';

/** What the recorder's words for its modes mean. */
function Modes({ columns, mapping, onChange }: ListProps) {
  const at = mapping.columns.find(({ field }) => field === 'mode')?.at;
  const words = at === undefined ? [] : (columns[at]?.words ?? []);
  if (words.length === 0) return null;
  const options = [
    ...FLIGHT_MODES.map((value) => ({ value: value as string, label: MODE_WORDS[value] })),
    { value: UNKNOWN_MODE, label: 'Not known' },
  ];
  return (
    <Part heading="Its modes">
      {words.map((word) => (
        <Choice
          key={word}
          label={`“${word}”`}
          options={options}
          value={mapping.modes[word] ?? UNKNOWN_MODE}
          onChange={(mode) =>
            onChange({
              ...mapping,
              modes: { ...mapping.modes, [word]: mode === UNKNOWN_MODE ? null : (mode as FlightMode) },
            })
          }
        />
      ))}
    </Part>
  );
}

/** What each column was taken for, to be put right by picking. */
export function ColumnList(props: ListProps) {
  const { columns, mapping } = props;
  const [open, setOpen] = useState<number | null>(null);
  const [showsAll, setShowsAll] = useState(false);
  const meaning = (at: number) => mapping.columns.find((each) => each.at === at);
  const listed = columns.map((column, at) => ({ column, at })).filter(({ at }) => showsAll || meaning(at));
  const others = columns.length - mapping.columns.length;
  return (
    <>
      <Part heading="What its columns are">
        <Rows>
          {listed.map(({ column, at }) => {
            const is = meaning(at);
            const unit = is?.unit ? `, ${is.unit}` : '';
            return (
              <View key={`${at} ${column.name}`}>
                <PressRow
                  title={column.unit === null ? column.name : `${column.name} [${column.unit}]`}
                  under={[
                    is ? `${fieldName(is.field)}${unit}, ${BY_WORDS[is.because]}` : 'Not used',
                    column.examples.map(shownNumber).join(', '),
                  ].join(' · ')}
                  onPress={() => setOpen(open === at ? null : at)}
                />
                {open === at ? <EditColumn {...props} at={at} /> : null}
              </View>
            );
          })}
        </Rows>
        {others > 0 && !showsAll ? (
          <Button kind="quiet" label={`Columns not used: ${others}`} onPress={() => setShowsAll(true)} />
        ) : null}
        {mapping.columns.length === 0 ? <Words>None of its columns is known yet: pick them.</Words> : null}
      </Part>
      <Modes {...props} />
    </>
  );
}
