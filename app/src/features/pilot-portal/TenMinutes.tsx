import { wordedDrill } from '@skelby/copy/drills';
import type { PilotPortalPage } from '@skelby/core/pages/portal';
import { type HomeBlock, tenMinutes } from '@skelby/core/plan/ten-minutes';
import { blockWords } from '../../shared/copy/block-copy';
import { todayHere } from '../../shared/copy/dates';
import { LinkRow, Rows } from '../../shared/ui/Rows';
import { Part } from '../../shared/ui/Screen';
import { isFlownHere } from '../../shared/ui/SimulatorLink';

/** Drills rest between the last practice and the check. */
export const restsNow = ({ checkFrom, checkPassed, state }: PilotPortalPage['weaknesses'][number]): boolean =>
  checkFrom !== null && !checkPassed && state !== 'watch';

const HOME_WHY: Readonly<Record<HomeBlock['why'], string>> = {
  'course-waits': 'The course goes on after it',
  weakness: 'For what is open',
  course: 'For the course',
};

interface TenMinutesProps {
  readonly page: PilotPortalPage;
  /** Of the pilot's own link. */
  readonly token: string;
}

/** What there is to fly at home today, each a tap away. */
export function TenMinutes({ page: { weaknesses, course, pilot }, token }: TenMinutesProps) {
  const blocks = tenMinutes({
    weaknesses: weaknesses.map((weakness) => ({
      drillIds: weakness.drillIds ?? [],
      testShare: weakness.rungs[0] ?? 0,
      rests: restsNow(weakness),
      isOnWatch: weakness.state === 'watch',
    })),
    course: course?.parts ?? [],
    today: todayHere(),
    isFlownHere: (id) => isFlownHere(wordedDrill(id)),
  });
  if (blocks.length === 0) return null;
  const minutes = blocks.reduce((sum, block) => sum + block.minutes, 0);
  return (
    <Part heading={`Today on the simulator: ${minutes} minutes`}>
      <Rows>
        {blocks.map((block) => (
          <LinkRow
            key={block.drillId}
            href={`/practice?drill=${block.drillId}${block.side ? `&side=${block.side}` : ''}&layout=${pilot.stickLayout}&flies=${pilot.mode}#${token}`}
            title={blockWords(block, wordedDrill)}
            under={`${HOME_WHY[block.why]} · ${block.minutes} min`}
          />
        ))}
      </Rows>
    </Part>
  );
}
