import { blockWords, purposeWords } from '../../shared/copy/block-copy';
import { useDrills } from '../../shared/api/use-drills';
import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  TouchSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import Feather from '@expo/vector-icons/Feather';
import type { PlannedBlock } from '@skelby/core/plan/layout/block';
import { type ComponentProps, useState } from 'react';
import { View } from 'react-native';
import { Button } from '../../shared/ui/Button';
import { themed, TOUCH, useTheme } from '../../shared/ui/theme';
import { UNSEEN, Words } from '../../shared/ui/Words';
import { sentenceCase } from '../../shared/copy/copy';
import { offerUndo } from '../../shared/ui/undo';

export interface ArrangedPack {
  readonly pilotId: string;
  readonly blocks: readonly PlannedBlock[];
}

const useStyles = themed((theme) => ({
  pack: { borderTopWidth: 3, borderTopColor: theme.ink, paddingTop: 8, gap: 2 },
  block: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    paddingVertical: 8,
    borderBottomWidth: 1,
    borderBottomColor: theme.rule,
    backgroundColor: theme.ground,
  },
  words: { flex: 1, minWidth: 0 },
  places: { gap: 4 },
  rest: { paddingVertical: 8 },
}));

const HANDLE = {
  width: TOUCH - 16,
  minHeight: TOUCH,
  display: 'flex',
  alignItems: 'center',
  justifyContent: 'center',
  cursor: 'grab',
  touchAction: 'none',
  background: 'none',
  border: 'none',
  padding: 0,
} as const;

interface BlockRowProps {
  readonly block: PlannedBlock;
  readonly onOut: () => void;
  /** One place earlier or later; null at the ends. */
  readonly onUp: (() => void) | null;
  readonly onDown: (() => void) | null;
}

function BlockRow({ block, onOut, onUp, onDown }: BlockRowProps) {
  const { drillOf } = useDrills();
  const styles = useStyles();
  const theme = useTheme();
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: block.id,
  });
  const name = drillOf(block.drillId).name;
  return (
    <div
      ref={setNodeRef}
      style={{
        transform: transform ? `translate3d(0, ${transform.y}px, 0)` : undefined,
        transition,
        zIndex: isDragging ? 2 : undefined,
        position: 'relative',
        outline: isDragging ? `3px solid ${theme.ink}` : undefined,
      }}
    >
      <View style={styles.block}>
        <button
          type="button"
          style={HANDLE}
          aria-label={`Move ${name}`}
          {...attributes}
          {...listeners}
          role="button"
        >
          <Feather name="menu" size={22} color={theme.ink} aria-hidden />
        </button>
        <View style={styles.words}>
          <Words as="strong">{blockWords(block, drillOf)}</Words>
          <Words as="soft">{`${sentenceCase(purposeWords(block))} · ${block.minutes} min. ${block.why}`}</Words>
        </View>
        <View style={styles.places}>
          {onUp ? <Button icon="arrow-up" label="" says={`${name} earlier`} onPress={onUp} /> : null}
          {onDown ? <Button icon="arrow-down" label="" says={`${name} later`} onPress={onDown} /> : null}
        </View>
        <Button icon="x" label="" says={`Leave out ${name}`} onPress={onOut} />
      </View>
    </div>
  );
}

interface ArrangeProps {
  readonly packs: readonly ArrangedPack[];
  readonly rests: readonly boolean[];
  readonly packMinutes: number;
  readonly pilotName: (pilotId: string) => string;
  readonly onChange: (packs: readonly ArrangedPack[]) => void;
}

/** Takes a block out of where it is and puts it before (moving up) or after (moving down) another. */
function movedTo(packs: readonly ArrangedPack[], movingId: string, overId: string): readonly ArrangedPack[] {
  const ids = packs.flatMap((pack) => pack.blocks.map((block) => block.id));
  const moving = packs.flatMap((pack) => pack.blocks).find((block) => block.id === movingId);
  if (!moving || movingId === overId || !ids.includes(overId)) return packs;
  const down = ids.indexOf(movingId) < ids.indexOf(overId);
  return packs
    .map((pack) => {
      const rest = pack.blocks.filter((block) => block.id !== movingId);
      const at = pack.blocks.some((block) => block.id === overId)
        ? rest.findIndex((block) => block.id === overId) + (down ? 1 : 0)
        : -1;
      return { ...pack, blocks: at < 0 ? rest : [...rest.slice(0, at), moving, ...rest.slice(at)] };
    })
    .filter((pack) => pack.blocks.length > 0);
}

type Names = (id: string) => string;

/** What is said of a block that is moved by keys. @param placeOf its place among all of them */
const telling = (
  named: Names,
  placeOf: Names,
): NonNullable<ComponentProps<typeof DndContext>['accessibility']> => ({
  screenReaderInstructions: {
    draggable: 'Space takes it up, arrows move it, Space puts it down, Escape leaves it where it was.',
  },
  announcements: {
    onDragStart: ({ active }) => `${named(String(active.id))} taken up, at ${placeOf(String(active.id))}.`,
    onDragOver: ({ active, over }) =>
      over ? `${named(String(active.id))} would be at ${placeOf(String(over.id))}.` : undefined,
    onDragEnd: ({ active, over }) =>
      `${named(String(active.id))} put down${over ? ` at ${placeOf(String(over.id))}` : ''}.`,
    onDragCancel: ({ active }) => `${named(String(active.id))} is where it was.`,
  },
});

/** The packs in order, with their blocks: moved by drag or by keyboard, or left out. */
export function Arrange({ packs, rests, packMinutes, pilotName, onChange }: ArrangeProps) {
  const styles = useStyles();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const { drillOf } = useDrills();
  const ids = packs.flatMap((pack) => pack.blocks.map((block) => block.id));
  const named = (id: string) => {
    const block = packs.flatMap((pack) => pack.blocks).find((each) => each.id === id);
    return block ? drillOf(block.drillId).name : '';
  };
  const placeOf = (id: string) => `place ${ids.indexOf(id) + 1} of ${ids.length}`;
  const [said, say] = useState('');
  const move = (id: string, overId: string) => {
    onChange(movedTo(packs, id, overId));
    say(`${named(id)} is now at ${placeOf(overId)}.`);
  };
  const drop = ({ active, over }: DragEndEvent) => {
    if (over) move(String(active.id), String(over.id));
  };
  const besideOf = (id: string, by: -1 | 1) => {
    const beside = ids[ids.indexOf(id) + by];
    return beside === undefined ? null : () => move(id, beside);
  };
  const out = (id: string) => {
    offerUndo(`${named(id)} left out`, () => onChange(packs));
    onChange(
      packs
        .map((pack) => ({ ...pack, blocks: pack.blocks.filter((block) => block.id !== id) }))
        .filter((pack) => pack.blocks.length > 0),
    );
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={drop}
      accessibility={telling(named, placeOf)}
    >
      <Words role="status" style={UNSEEN}>
        {said}
      </Words>
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <View style={{ gap: 14 }}>
          {packs.map((pack, p) => (
            <View key={p} style={styles.pack} role="group" aria-label={`Pack ${p + 1}`}>
              {rests[p] ? (
                <Words as="soft" style={styles.rest}>
                  Rest first: two in a row are enough.
                </Words>
              ) : null}
              <Words as="heading">{`Pack ${p + 1} · ${pilotName(pack.pilotId)}`}</Words>
              <Words as="soft">{`${pack.blocks.reduce((sum, block) => sum + block.minutes, 0)} of ${packMinutes} min`}</Words>
              {pack.blocks.map((block) => (
                <BlockRow
                  key={block.id}
                  block={block}
                  onOut={() => out(block.id)}
                  onUp={besideOf(block.id, -1)}
                  onDown={besideOf(block.id, 1)}
                />
              ))}
            </View>
          ))}
        </View>
      </SortableContext>
    </DndContext>
  );
}
