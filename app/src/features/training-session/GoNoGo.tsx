import type { DrillBook } from '@skelby/core/drills/drill-book';
import { useDrills } from '../../shared/api/use-drills';
import { failsafeFor, FAILSAFE_WORDS } from '@skelby/core/reconstruct/return-height';
import { NEEDS } from '@skelby/core/restrictions/limits';
import {
  brokenBy,
  needsOf,
  reserveOf,
  type Restricting,
  windLimitUnder,
} from '@skelby/core/restrictions/restrictions';
import type { SessionFields } from '@skelby/core/schemas/session';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import type { Pilot, Site, TodayList } from '@skelby/core/pages/pages';
import { type Speaking, useUnits } from '../../shared/api/use-units';
import { Button } from '../../shared/ui/Button';
import { Note } from '../../shared/ui/Note';
import { ReasonForm } from '../../shared/forms/ReasonForm';
import { Part, Screen } from '../../shared/ui/Screen';
import { themed, TOUCH } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';
import { timeOf, todayHere } from '../../shared/copy/dates';
import { STANDING_LINE } from '../../shared/copy/copy';

export const USUAL_RESERVE_PERCENT = 25;

interface Item {
  readonly words: string;
  /** Known from numbers; null: a person looks and says. */
  readonly known: boolean | null;
  /** What to do when the numbers speak against it. */
  readonly instead?: string;
}

interface GoProps {
  readonly content: SessionFields;
  readonly pilots: readonly Pilot[];
  readonly site: Site | null;
  readonly weaknesses: TodayList['weaknesses'];
  readonly onGo: (goNoGo: NonNullable<SessionFields['goNoGo']>) => void;
  readonly busy: boolean;
  readonly error: string | null;
}

const useStyles = themed((theme) => ({
  item: {
    minHeight: TOUCH,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    borderBottomWidth: 1,
    borderBottomColor: theme.rule,
    paddingVertical: 8,
  },
  box: {
    width: 34,
    height: 34,
    borderWidth: 3,
    borderColor: theme.ink,
    alignItems: 'center',
    justifyContent: 'center',
  },
  ticked: { backgroundColor: theme.ink },
  tick: { color: theme.ground, fontSize: 22, lineHeight: 26 },
  words: { flex: 1 },
}));

/**
 * What is asked before anybody flies: the day, the people, the packs, the place, and what open weaknesses ask
 * for.
 */
export function itemsFor(
  { content, pilots, site, weaknesses }: Pick<GoProps, 'content' | 'pilots' | 'site' | 'weaknesses'>,
  { say, drillOf }: Pick<Speaking, 'say'> & Pick<DrillBook, 'drillOf'>,
): { readonly all: readonly Item[]; readonly near: readonly Item[] } {
  const open = (pilotId: string) =>
    weaknesses.filter((line) => line.pilotId === pilotId && line.state !== 'watch');
  const flying = pilots.filter((pilot) => content.packs.some((pack) => pack.pilotId === pilot.id));
  const place = site?.place ?? null;
  const ask = (words: string): Item => ({ words, known: null });
  const reserve = Math.max(
    ...flying.map((pilot) => reserveOf(open(pilot.id), USUAL_RESERVE_PERCENT)),
    USUAL_RESERVE_PERCENT,
  );
  const blocks = content.packs.flatMap((pack) => pack.blocks);
  // Drills of a weakness's own plan stay open to it.
  const restricting = (pilotId: string): readonly Restricting[] =>
    open(pilotId).map(({ id, causeId }) => ({
      causeId,
      drillIds: blocks.filter((block) => block.weaknessId === id).map((block) => block.drillId),
    }));
  const ruledOut = flying.flatMap((pilot) =>
    [...new Set(blocks.filter((block) => block.pilotId === pilot.id).map((block) => block.drillId))].flatMap(
      (drillId) =>
        brokenBy(
          { drillId, flownOn: 'craft', place, windMps: null, windLimitMps: pilot.windLimitMps },
          restricting(pilot.id),
        ).map(({ words }) => ({
          words: `${pilot.name}, ${drillOf(drillId).name}. ${words}`,
          known: false,
          instead: 'Take it out of the plan, or fly it on the simulator.',
        })),
    ),
  );
  const isNear = place !== 'open' || blocks.some((block) => drillOf(block.drillId).group === 'obstacles');
  const failsafe = site ? failsafeFor(site.place) : null;
  return {
    all: [
      ...flying.map((pilot) => {
        const limit = windLimitUnder(open(pilot.id), pilot.windLimitMps);
        return {
          words: `Wind ${say(content.windMps, 'm/s')}, ${pilot.name}'s limit ${say(limit, 'm/s')}`,
          known: content.windMps <= limit,
          instead: 'Over the limit: wait, fly the simulator, or change who flies.',
        };
      }),
      ...ruledOut,
      ask('Gusts within the limits too, and nothing building up'),
      ask('Dry: no rain, fog or spray'),
      ...(content.lightUntil === null
        ? [ask('Light enough to read the nose')]
        : [
            {
              words: `Light until ${content.lightUntil}`,
              known: content.day === todayHere() && timeOf(new Date()) < content.lightUntil,
              instead: 'The light is gone: another day, or the simulator.',
            },
          ]),
      ask('Everybody told that a learner flies, and behind the line'),
      ask(`Packs charged and seated; land with ${reserve} %`),
      ...(failsafe
        ? [ask(`On a lost link: ${FAILSAFE_WORDS[failsafe.action]}. Set, and read back`)]
        : [ask('Failsafe set for this place, and read back')]),
      ...[
        ...new Set(
          flying.flatMap((pilot) =>
            needsOf(open(pilot.id), place).map(
              (need) => `${pilot.name}: ${NEEDS[need].charAt(0).toLowerCase()}${NEEDS[need].slice(1)}`,
            ),
          ),
        ),
      ].map(ask),
    ],
    near: isNear
      ? [
          'What is close to the line, and to its end',
          'Snags: wires, twigs, poles, nets',
          'Radio shadow behind walls, trees or metal',
          'The way out, said aloud',
          'The charge at which to turn round, said aloud',
        ].map(ask)
      : [],
  };
}

/**
 * Go or no-go: each thing looked at and ticked; what is not in order says why, and is overruled only with a
 * reason.
 */
export function GoNoGo(props: GoProps) {
  const { drillOf } = useDrills();
  const { content, onGo, busy, error } = props;
  const styles = useStyles();
  const units = useUnits();
  const { all, near } = itemsFor(props, { say: units.say, drillOf });
  const items = [...all, ...near];
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const isOk = (item: Item) => item.known ?? ticked.has(item.words);
  const open = items.filter((item) => !isOk(item));
  const go = (reason: string) =>
    onGo({
      at: new Date().toISOString(),
      items: items.map((item) => ({ words: item.words, ok: isOk(item) })),
      reason,
    });
  const toggle = (words: string) =>
    setTicked((last) => {
      const next = new Set(last);
      if (!next.delete(words)) next.add(words);
      return next;
    });
  const rows = (some: readonly Item[]) =>
    some.map((item) => (
      <Pressable
        key={item.words}
        role="checkbox"
        aria-checked={isOk(item)}
        disabled={item.known !== null}
        onPress={() => toggle(item.words)}
        style={styles.item}
      >
        <View style={[styles.box, isOk(item) ? styles.ticked : null]}>
          <Words as="strong" style={isOk(item) ? styles.tick : null}>
            {isOk(item) ? '✓' : item.known === false ? '✗' : ''}
          </Words>
        </View>
        <Words as={item.known === false ? 'strong' : 'body'} style={styles.words}>
          {item.words}
        </Words>
      </Pressable>
    ));
  const refused = items.filter((item) => item.known === false);
  return (
    <Screen
      title="Go or no-go"
      under={`Session ${content.day}`}
      up="/session"
      foot={
        <>
          {error ? <Words as="strong" role="alert">{`! ${error}`}</Words> : null}
          <Button
            kind="main"
            icon="play"
            label={open.length === 0 ? 'Go' : `${open.length} not in order yet`}
            disabled={open.length > 0 || busy}
            onPress={() => go('')}
          />
        </>
      }
    >
      {refused.map((item) => (
        <Note key={item.words} icon="slash" heading="No-go">{`${item.words}. ${item.instead ?? ''}`}</Note>
      ))}
      <View>{rows(all)}</View>
      {near.length > 0 ? (
        <Part heading="Near things: walk it first">
          <View>{rows(near)}</View>
        </Part>
      ) : null}
      <Words as="soft">{STANDING_LINE}</Words>
      {open.length > 0 ? (
        <ReasonForm
          open="Go all the same"
          question="Why is it safe although not everything is in order? This shows on the record."
          act="Go"
          busy={busy}
          error={null}
          onGive={go}
        />
      ) : null}
    </Screen>
  );
}
