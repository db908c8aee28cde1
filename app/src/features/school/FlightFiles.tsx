import { setRetention } from '@skelby/core/commands/handles';
import type { FlightFile } from '@skelby/core/pages/flight-files';
import { View } from 'react-native';
import { useKeptFiles, useRemoveFile } from '../../offline/flight-files/kept-files';
import { sayBytes } from '../../offline/flight-files/say-bytes';
import { useSaveNow } from '../../offline/overlay/record-queries';
import { useRoster } from '../../offline/overlay/use-roster';
import { useRetention } from '../../offline/people-queries';
import { useMay } from '../../shared/api/use-may';
import { plural } from '../../shared/copy/copy';
import { sayTime } from '../../shared/copy/dates';
import { Choice } from '../../shared/forms/Choice';
import { Button } from '../../shared/ui/Button';
import { LinkRow, Rows } from '../../shared/ui/Rows';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';

const MONTHS = [3, 6, 12, 24, 60] as const;
const AT_FIRST = 8;

function KeptFor({ months, onSet }: { readonly months: number; readonly onSet: () => void }) {
  const save = useSaveNow(setRetention);
  const { data: retention } = useRetention();
  if (!retention) return null;
  const set = (flightMonths: number) =>
    save.mutate({ keys: {}, body: { keepYears: retention.keepYears, flightMonths } }, { onSuccess: onSet });
  return (
    <>
      <Choice<number>
        label="Flight files go after"
        value={months}
        onChange={set}
        options={[...new Set([...MONTHS, months])]
          .sort((a, b) => a - b)
          .map((value) => ({ value, label: plural(value, 'month') }))}
      />
      {save.error ? <Words as="strong" role="alert">{`! ${save.error.message}`}</Words> : null}
    </>
  );
}

/** Files of recorders that the school keeps: what they take, until when, and each by itself. */
export function FlightFiles() {
  const kept = useKeptFiles();
  const remove = useRemoveFile();
  const { data: roster } = useRoster();
  const [maySet, mayRemove] = [useMay('set-school'), useMay('keep-records')];
  if (!kept.data) return null;
  const { files, all, keptBytes, mostBytes, months } = kept.data;
  const nameOf = ({ pilotId }: FlightFile) => roster?.pilots.find(({ id }) => id === pilotId)?.name;
  return (
    <Part heading="Flight files">
      <Words>{`${plural(all, 'file')}, ${sayBytes(keptBytes)} of ${sayBytes(mostBytes)}.`}</Words>
      {maySet ? <KeptFor months={months} onSet={() => void kept.refetch()} /> : null}
      <Rows empty="None yet: what is logged or added from a flight file takes it along." atFirst={AT_FIRST}>
        {files.map((file) => (
          <View key={file.id} style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
            <View style={{ flex: 1 }}>
              <LinkRow
                href={`/flights/file?kept=${file.id}&name=${encodeURIComponent(file.name)}` as never}
                title={file.name}
                under={[nameOf(file), sayTime(file.madeAt), sayBytes(file.bytes)].filter(Boolean).join(' · ')}
              />
            </View>
            {mayRemove ? (
              <Button
                kind="quiet"
                icon="trash-2"
                label="Remove"
                says={`Remove ${file.name} for good`}
                disabled={remove.isPending}
                onPress={() => remove.mutate(file.id)}
              />
            ) : null}
          </View>
        ))}
      </Rows>
      {all > files.length ? <Words as="soft">{`The newest ${files.length} of ${all}.`}</Words> : null}
      {remove.error ? <Words as="strong" role="alert">{`! ${remove.error.message}`}</Words> : null}
    </Part>
  );
}
