import { sendRep, sendUndo } from '../../offline/outbox/reps';
import { useDrills } from '../../shared/api/use-drills';
import type { DrillId } from '@skelby/core/drills/drills';
import { recordOwnRep, recordRep } from '@skelby/core/commands/handles';
import { newRep } from '@skelby/core/commands/record-rep';
import { entryOf } from '../../offline/outbox/commands';
import type { Purpose } from '@skelby/core/clearance/facts';
import type { WordedDrill } from '@skelby/copy/drills';
import { windBandOf } from '@skelby/core/vocabulary/wind-band';
import { missReasonOf } from '@skelby/core/assessment/miss-reason';
import { useCallback, useRef, useState, useSyncExternalStore } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { outbox } from '../../offline/outbox/use-outbox';
import { WaitingNote } from '../../offline/ui/WaitingNote';
import { ownOutbox, useOwnSending } from '../../offline/outbox/own-outbox';
import { OwnWaiting } from '../../offline/ui/OwnWaiting';
import { Button } from '../../shared/ui/Button';
import { Words } from '../../shared/ui/Words';
import { todayHere } from '../../shared/copy/dates';
import { PURPOSE_WORDS } from '../../shared/copy/copy';
import type { Scored, Unlike } from './practice-messages';
import type { PracticeSettings } from './settings';

/** The rep that an entry of the outbox records. */
const repIn = (path: string): string | undefined =>
  (recordRep.address.read(path) ?? recordOwnRep.address.read(path))?.id;

interface Kept {
  readonly repId: string;
  readonly met: boolean;
  readonly takenBack: boolean;
}
export interface Recorded {
  readonly record: (scored: Scored) => void;
  readonly undo: () => void;
  readonly last: Kept | null;
  /** Why the last flight was not taken for a rep. */
  readonly unlike: Unlike | null;
  /** Whether the server would not take the last one. */
  readonly isRefused: boolean;
  /** Where it goes. */
  readonly weaknessId: string | null;
  /** The pilot's own link. */
  readonly token: string | null;
  readonly purpose: Purpose;
}

interface Belongs {
  readonly weaknessId: string | null;
  readonly token: string | null;
  readonly drill: WordedDrill<DrillId>;
  readonly settings: PracticeSettings | null;
  readonly purpose: Purpose;
}

/** Each rep flown for a weakness is recorded with it as one on the simulator. */
export function useRecorded({ weaknessId, token, drill, settings, purpose }: Belongs): Recorded {
  const { versionInForce } = useDrills();
  const [last, setLast] = useState<Kept | null>(null);
  const [unlike, setUnlike] = useState<Unlike | null>(null);
  const now = useRef({ settings });
  now.current = { settings };
  const record = useCallback(
    ({ score, unlike: how }: Scored) => {
      const flown = now.current.settings;
      setUnlike(how);
      if ((!weaknessId && !token) || !flown || how || score.over === 'stopped') {
        setLast(null);
        return;
      }
      const [repId, flownAt] = [uuid(), new Date().toISOString()];
      const rep = {
        drillId: drill.id,
        met: score.met,
        missReason: missReasonOf(score),
        side: flown.side,
        band: windBandOf(flown.windMps),
        mode: flown.mode,
        pilotRelative: flown.relative,
        pack: 1,
        measure: score.recorded,
        drillVersion: versionInForce(drill.id),
        testSetId: null,
        craftId: null,
        caseId: null,
        stage: null,
        widthSpans: null,
        distanceM: score.distanceM === null ? null : Math.max(1, Math.round(score.distanceM)),
        day: todayHere(),
        flownAt,
      };
      setLast({ repId, met: score.met, takenBack: false });
      const what = `rep of ${drill.name} on the simulator`;
      if (weaknessId) sendRep(repId, newRep({ ...rep, weaknessId, purpose, flownOn: 'simulator' }), what);
      else void ownOutbox.add(entryOf(recordOwnRep, { id: repId }, rep, what));
    },
    [weaknessId, token, drill, purpose, versionInForce],
  );
  const undo = useCallback(() => {
    if (!last || last.takenBack) return;
    sendUndo(last.repId, drill.name, 'Not a fair attempt');
    setLast({ ...last, takenBack: true });
  }, [last, drill]);
  useOwnSending(token);
  const box = weaknessId ? outbox : ownOutbox;
  const { items } = useSyncExternalStore(box.subscribe, box.state);
  const isRefused =
    last !== null && items.some((item) => item.refused !== undefined && repIn(item.path) === last.repId);
  return { record, undo, last, unlike, isRefused, weaknessId, token, purpose };
}

const UNLIKE_WORDS: Readonly<Record<Unlike, string>> = {
  slowed: 'part of it was flown in slow motion',
  frozen: 'it was frozen on the way',
  'taken-over': 'it was taken over in the middle',
};

/** What became of the rep. */
export function RecordedNote({
  recorded: { last, unlike, isRefused, undo, weaknessId, token, purpose },
}: {
  readonly recorded: Recorded;
}) {
  if (!weaknessId && !token)
    return <Words as="soft">Not recorded: opened from a weakness, a rep goes to it.</Words>;
  if (unlike) return <Words role="status">{`Not recorded: ${UNLIKE_WORDS[unlike]}.`}</Words>;
  if (!last) return null;
  if (last.takenBack) return <Words role="status">Taken back.</Words>;
  return (
    <View style={{ gap: 4 }}>
      {isRefused ? null : (
        <Words role="status">{`Recorded as ${last.met ? 'met' : 'missed'} on the simulator (${PURPOSE_WORDS[purpose].toLowerCase()}). It still has to be shown on the craft.`}</Words>
      )}
      {weaknessId ? <WaitingNote brief /> : <OwnWaiting token={token} />}
      {weaknessId && !isRefused ? (
        <Button kind="quiet" icon="corner-up-left" label="Take this rep back" onPress={undo} />
      ) : null}
    </View>
  );
}
