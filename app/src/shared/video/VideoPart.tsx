import { wordedDrill } from '@skelby/copy/drills';
import { DRILLS_FOR_MISTAKES, mostOften } from '@skelby/core/drills/for-mistakes';
import { clockOf } from '../copy/clock';
import { MISS_REASONS, type MissReason } from '@skelby/core/clearance/facts';
import { forwardRef, useEffect, useImperativeHandle, useRef, useState } from 'react';
import { MISS_WORDS, plural } from '../copy/copy';
import { beginsByClock, type FlightClock } from './begins-by-clock';
import { keep, kept } from '../storage/storage';
import { Button, ButtonRow, LinkButton } from '../ui/Button';
import { pickFile } from '../ui/pick-file';
import { PressRow, Rows } from '../ui/Rows';
import { Part } from '../ui/Screen';
import { offerUndo } from '../ui/undo';
import { Words } from '../ui/Words';

/** A mistake that was seen in a video, s from the beginning of it. */
interface VideoMark {
  readonly atS: number;
  readonly what: MissReason;
}

/** What is kept of a video: never the video. */
interface Looked {
  /** The moment of the flight at which the video begins, s; null: not in step with one. */
  readonly beginsAtS: number | null;
  readonly marks: readonly VideoMark[];
}
const NEW: Looked = { beginsAtS: null, marks: [] };

const nameOf = ({ name, size }: File): string => `video-marks.${name}.${size}`;

/** A video from this phone, with what is kept of it. */
export function useVideo() {
  const [file, setFile] = useState<File | null>(null);
  const [url, setUrl] = useState<string | null>(null);
  const [looked, setLooked] = useState<Looked>(NEW);
  useEffect(() => {
    if (!file) return undefined;
    const made = URL.createObjectURL(file);
    setUrl(made);
    setLooked(kept<Looked>(nameOf(file)) ?? NEW);
    return () => URL.revokeObjectURL(made);
  }, [file]);
  const change = (part: Partial<Looked>) => {
    const next = { ...looked, ...part };
    setLooked(next);
    if (file) keep(nameOf(file), next);
  };
  return { file, url, looked, change, open: setFile };
}

export type Video = ReturnType<typeof useVideo>;

/** The flight that a video is put in step with. */
interface BesideFlight extends FlightClock {
  readonly t: number;
  readonly goTo: (t: number) => void;
  /** null: it did not take off in what was recorded. */
  readonly takeOffS: number | null;
}

export interface VideoHandle {
  /** Shows the moment of the flight, where the two are in step. */
  readonly follow: (flightS: number) => void;
}

/** Two taps, or two keys: the moment first, then what it was. */
function MarkKeys({
  marking,
  onMark,
  onWhat,
}: {
  readonly marking: number | null;
  readonly onMark: () => void;
  readonly onWhat: (what: MissReason) => void;
}) {
  return marking === null ? (
    <Button kind="solid" icon="flag" label="Mark a mistake" onPress={onMark} />
  ) : (
    <>
      <Words role="status">{`What was it, at ${clockOf(marking)}?`}</Words>
      <ButtonRow>
        {MISS_REASONS.map((what, i) => (
          <Button key={what} label={`${i + 1} ${MISS_WORDS[what]}`} onPress={() => onWhat(what)} />
        ))}
      </ButtonRow>
    </>
  );
}

interface VideoProps {
  /** Held by the page: it outlives a flight that is brought in beside it. */
  readonly video: Video;
  /** null: there is no flight beside it. */
  readonly flight: BesideFlight | null;
  /** Makes an entry of what was marked; null: whoever looks may not log. */
  readonly onLog: ((note: string, seen: readonly MissReason[]) => void) | null;
  /** Drills can be opened from here. */
  readonly leads?: boolean;
}

const listed = (name: string, marks: readonly VideoMark[]): string =>
  `${name}: ${marks.map(({ atS, what }) => `${clockOf(atS)} ${MISS_WORDS[what].toLowerCase()}`).join(', ')}. `;

/** One press puts both in step. */
function InStep({
  flight,
  isInStep,
  clockS,
  onStep,
  onClock,
}: {
  readonly flight: BesideFlight;
  readonly isInStep: boolean;
  /** Where in the flight it begins by both clocks, s; null: they do not meet. */
  readonly clockS: number | null;
  readonly onStep: (flightS: number) => void;
  readonly onClock: () => void;
}) {
  return (
    <>
      <ButtonRow>
        {clockS === null ? null : (
          <Button
            icon="clock"
            label={`By the clocks: it begins at ${clockS < 0 ? '−' : ''}${clockOf(Math.abs(clockS))} of the flight`}
            onPress={onClock}
          />
        )}
        {flight.takeOffS === null ? null : (
          <Button icon="chevrons-up" label="It takes off here" onPress={() => onStep(flight.takeOffS!)} />
        )}
        <Button
          icon="link"
          label={`This is ${clockOf(flight.t)} of the flight`}
          onPress={() => onStep(flight.t)}
        />
      </ButtonRow>
      {isInStep ? <Words as="soft">In step with the flight.</Words> : null}
    </>
  );
}

/** Seen again from so much before, s. */
const BEFORE_S = 2;

/** What is drilled against what was marked most often. */
function DrillsForIt({ marks, leads }: { readonly marks: readonly VideoMark[]; readonly leads: boolean }) {
  const most = mostOften(marks.map(({ what }) => what));
  if (most === null) return null;
  const drills = DRILLS_FOR_MISTAKES[most].map((id) => wordedDrill(id));
  return (
    <>
      <Words>{`Most often ${MISS_WORDS[most].toLowerCase()}: ${drills.map(({ name }) => name).join(', then ')}.`}</Words>
      {leads ? (
        <ButtonRow>
          {drills.map(({ id, name }) => (
            <LinkButton key={id} icon="target" label={name} href={`/drills/${id}`} />
          ))}
        </ButtonRow>
      ) : null}
    </>
  );
}

/** What was marked, in order. */
function Marked({
  name,
  marks,
  onSee,
  onTakeOut,
  onLog,
  leads,
}: {
  readonly leads: boolean;
  readonly name: string;
  readonly marks: readonly VideoMark[];
  readonly onSee: (atS: number) => void;
  readonly onTakeOut: () => void;
  readonly onLog: VideoProps['onLog'];
}) {
  return (
    <>
      <Words as="strong" role="status">
        {plural(marks.length, 'mark')}
      </Words>
      <Rows empty="Fly, watch, list your mistakes, fly again. M and a number mark by keys.">
        {marks.map(({ atS, what }) => (
          <PressRow
            key={`${atS} ${what}`}
            title={`${clockOf(atS)} ${MISS_WORDS[what]}`}
            under="See it again"
            onPress={() => onSee(atS)}
          />
        ))}
      </Rows>
      <DrillsForIt marks={marks} leads={leads} />
      {marks.length > 0 ? (
        <ButtonRow>
          <Button kind="quiet" icon="x" label="Take the last mark out" onPress={onTakeOut} />
          {onLog ? (
            <Button
              icon="plus"
              label={leads ? 'Log what was marked' : 'Tell what was marked'}
              onPress={() => onLog(listed(name, marks), [...new Set(marks.map(({ what }) => what))])}
            />
          ) : null}
        </ButtonRow>
      ) : null}
    </>
  );
}

/** A video beside the flight, or alone: looked at, in step, and marked. It stays on this phone. */
export const VideoPart = forwardRef<VideoHandle, VideoProps>(function VideoPart(
  { video: watched, flight, onLog, leads = true },
  handle,
) {
  const { file, url, looked, change, open } = watched;
  const { beginsAtS, marks } = looked;
  const video = useRef<HTMLVideoElement>(null);
  const [seconds, setSeconds] = useState(NaN);
  const [marking, setMarking] = useState<number | null>(null);
  const follow = (flightS: number) => {
    if (video.current && beginsAtS !== null) video.current.currentTime = Math.max(0, flightS - beginsAtS);
  };
  useImperativeHandle(handle, () => ({ follow }));
  const now = () => video.current?.currentTime ?? 0;
  const clockS = flight && beginsByClock(file, seconds, flight);
  const step = (flightS: number) => change({ beginsAtS: flightS - now() });
  const mark = (what: MissReason) => {
    change({ marks: [...marks, { atS: marking!, what }].sort((a, b) => a.atS - b.atS) });
    setMarking(null);
  };
  const takeLastOut = () => {
    offerUndo('Mark taken out', () => change({ marks }));
    change({ marks: marks.slice(0, -1) });
  };
  if (!file || !url)
    return (
      <Part heading="Video">
        <Words as="soft">It stays on this phone. Whoever is filmed has agreed.</Words>
        <Button icon="video" label="Look at a video" onPress={() => pickFile('video/*', open)} />
      </Part>
    );
  return (
    <Part heading="Video">
      <div
        style={{ display: 'flex', flexDirection: 'column', alignItems: 'flex-start', gap: 8 }}
        onKeyDown={({ key, target }) => {
          if (target instanceof HTMLInputElement) return;
          if (key === 'm') setMarking(now());
          const what = MISS_REASONS[Number(key) - 1];
          if (marking !== null && what) mark(what);
        }}
      >
        <video
          ref={video}
          src={url}
          controls
          playsInline
          aria-label={file.name}
          style={{ width: '100%', maxWidth: 560, display: 'block' }}
          onDurationChange={() => setSeconds(video.current?.duration ?? NaN)}
          onTimeUpdate={() => {
            if (flight && beginsAtS !== null && !video.current!.paused) flight.goTo(beginsAtS + now());
          }}
        />
        <MarkKeys marking={marking} onMark={() => setMarking(now())} onWhat={mark} />
      </div>
      {flight ? (
        <InStep
          flight={flight}
          isInStep={beginsAtS !== null}
          clockS={clockS}
          onStep={step}
          onClock={() => change({ beginsAtS: clockS })}
        />
      ) : null}
      <Marked
        leads={leads}
        name={file.name}
        marks={marks}
        onSee={(atS) => {
          if (video.current) video.current.currentTime = Math.max(0, atS - BEFORE_S);
        }}
        onTakeOut={takeLastOut}
        onLog={onLog}
      />
      <Button kind="quiet" icon="video" label="Another video" onPress={() => pickFile('video/*', open)} />
    </Part>
  );
});
