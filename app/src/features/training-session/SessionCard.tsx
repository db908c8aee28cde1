import { untilCleared } from '../../shared/copy/restriction-copy';
import { blockWords, purposeWords } from '../../shared/copy/block-copy';
import { useDrills } from '../../shared/api/use-drills';
import type { Level } from '@skelby/core/vocabulary/training';
import { atLevel } from '@skelby/copy/levels';
import type { SessionFields } from '@skelby/core/schemas/session';
import { View } from 'react-native';
import type { Site, TodayList } from '@skelby/core/pages/pages';
import { useUnits } from '../../shared/api/use-units';
import { themed } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';
import { STANDING_LINE } from '../../shared/copy/copy';

const useStyles = themed(() => ({ card: { height: 0, overflow: 'hidden' } }));

interface SessionCardProps {
  readonly content: SessionFields;
  readonly rests: readonly boolean[];
  readonly pilotName: (pilotId: string) => string;
  readonly site: Site | null;
  readonly weaknesses: TodayList['weaknesses'];
  /** What a lost link does, for each craft that flies. */
  readonly lostLinks: readonly string[];
}

/** The session on one page, for the pocket: only on paper. */
export function SessionCard({ content, rests, pilotName, site, weaknesses, lostLinks }: SessionCardProps) {
  const { drillOf, versionInForce } = useDrills();
  const styles = useStyles();
  const { say, sentence } = useUnits();
  return (
    <View nativeID="skelby-print" style={styles.card} aria-hidden>
      <Words as="title">{`Session ${content.day}, ${content.startsAt}`}</Words>
      <Words as="soft">
        {[site?.name, `wind ${say(content.windMps, 'm/s')}`, `${content.packMinutes} min a pack`]
          .filter(Boolean)
          .join(' · ')}
      </Words>
      {lostLinks.map((words) => (
        <Words key={words}>{words}</Words>
      ))}
      {weaknesses.map((line) => (
        <Words key={line.id}>{`${line.pilotName}, until cleared: ${untilCleared(line.causeId)}`}</Words>
      ))}
      {content.packs.map((pack, p) => (
        <View key={p}>
          <Words as="heading">{`${rests[p] ? 'Rest. ' : ''}Pack ${p + 1}: ${pilotName(pack.pilotId)}`}</Words>
          {pack.blocks.map((block) => (
            <Words
              key={block.id}
            >{`☐ ${blockWords(block, drillOf)} (${purposeWords(block)}): ${sentence(atLevel(drillOf(block.drillId), block.level as Level, versionInForce(block.drillId) > 0).asks)}`}</Words>
          ))}
        </View>
      ))}
      <Words as="soft">{`Anyone in the way ends the discussion. ${STANDING_LINE}`}</Words>
    </View>
  );
}
