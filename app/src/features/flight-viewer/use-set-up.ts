import { exerciseOf } from '@skelby/core/assessment/exercises';
import { type Side, SIDES } from '@skelby/core/drills/drill';
import { type DrillId, drillOf, isDrillId } from '@skelby/core/drills/drills';
import { placesAlong } from '@skelby/core/geometry/path';
import { FIELD_DRILLS } from '@skelby/core/recorded-flight/reps/field-drills';
import { hasGates } from '@skelby/core/recorded-flight/reps/field-gates';
import {
  type FieldPlace,
  inField,
  type Placement,
  placementFrom,
} from '@skelby/core/recorded-flight/reps/placement';
import { useLocalSearchParams } from 'expo-router';
import { useMemo, useState } from 'react';
import { craftFacts, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import { useRoster } from '../../offline/overlay/use-roster';

const NONE = [] as const;

const isSide = (value: string | undefined): value is Side => SIDES.some((each) => each === value);

/** A place that is wanted on the plan. */
export type WantedPlace = 'pilot' | 'ahead' | 'post' | 'other-post' | 'line-from' | 'line-to';
/** What is wanted after it. */
const THEN: Readonly<Record<WantedPlace, WantedPlace | null>> = {
  pilot: 'ahead',
  ahead: null,
  post: 'other-post',
  'other-post': null,
  'line-from': 'line-to',
  'line-to': null,
};

/** Which drill a flight is judged as, and where in the field it was set up. */
export function useSetUp() {
  const asked = useLocalSearchParams<{ drill?: string; side?: string }>();
  const [drillId, setDrill] = useState<DrillId | null>(() =>
    asked.drill && isDrillId(asked.drill) && FIELD_DRILLS.includes(asked.drill) ? asked.drill : null,
  );
  const [craftId, setCraftId] = useState<string | null>(null);
  const { data: roster } = useRoster();
  // With one craft there is no question.
  const known = roster?.craft ?? NONE;
  const chosen = known.find(({ id }) => id === craftId) ?? (known.length === 1 ? known[0] : undefined);
  const craft = useMemo(() => craftFacts(chosen ?? USUAL_CRAFT), [chosen]);
  const [side, setSide] = useState<Side | null>(() => (isSide(asked.side) ? asked.side : null));
  const [places, setPlaces] = useState<Partial<Record<WantedPlace, FieldPlace>>>({});
  const [wanted, want] = useState<WantedPlace | null>(null);
  const { pilot, ahead } = places;
  const placement = useMemo(() => (pilot && ahead ? placementFrom(pilot, ahead) : null), [pilot, ahead]);
  const [one, other] = [places.post, places['other-post']];
  const isGated = drillId !== null && hasGates(drillId);
  const posts = useMemo(
    () => (isGated && one && other ? ([one, other] as const) : null),
    [isGated, one, other],
  );
  const [from, to] = [places['line-from'], places['line-to']];
  const line = useMemo(() => (from && to ? ([from, to] as const) : null), [from, to]);
  return {
    drillId,
    side,
    pick: (id: DrillId) => {
      setDrill(id);
      const { sides } = drillOf(id);
      setSide(sides.includes(side!) ? side : (sides[0] ?? null));
    },
    setSide,
    /** What was flown: a usual craft until it is said. */
    craft,
    craftId: chosen?.id ?? null,
    setCraftId,
    places,
    wanted,
    want,
    /** The wanted place is here. */
    place: (at: FieldPlace) => {
      if (wanted === null) return;
      setPlaces({ ...places, [wanted]: at });
      const then = THEN[wanted];
      want(then && !places[then] ? then : null);
    },
    putBack: setPlaces,
    /** Takes some of them out. */
    takeOut: (...which: WantedPlace[]) => {
      setPlaces(
        Object.fromEntries(Object.entries(places).filter(([name]) => !which.includes(name as WantedPlace))),
      );
      want(null);
    },
    /** Nobody flies over it; null: not both of its ends are marked. */
    line,
    /** It is flown through gates. */
    isGated,
    /** Two posts of its first gate; null: it has none, or not both are marked. */
    posts,
    /** By the two places that were marked; null: not both are. */
    placement,
  };
}
export type SetUpChoice = ReturnType<typeof useSetUp>;

/** A way is drawn by places so far apart, m. */
const DRAWN_EVERY_M = 0.5;

/** The way of a drill as it lies in the field; nothing where it is not known where that is. */
export function setUpLines(
  { drillId, side }: Pick<SetUpChoice, 'drillId' | 'side'>,
  placement: Placement | null,
): readonly (readonly FieldPlace[])[] {
  const course = drillId && placement ? exerciseOf(drillId, side) : null;
  return course && placement
    ? course.stages.map(({ path }) =>
        placesAlong(path, DRAWN_EVERY_M).map(([x, y]) => inField(placement, { x, y })),
      )
    : [];
}
