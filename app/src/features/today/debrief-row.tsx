import { causeWords } from '@skelby/copy/causes';
import type { TodayList } from '@skelby/core/pages/pages';
import { KIND_WORDS } from '../../shared/copy/copy';
import { sayDay } from '../../shared/copy/dates';
import { LinkRow } from '../../shared/ui/Rows';

/** An occurrence that nobody has debriefed, with the cause it was logged with as a question. */
export const debriefRow = ({ id, pilotName, kind, day, causeId, begun }: TodayList['toDebrief'][number]) => (
  <LinkRow
    key={id}
    href={`/occurrence/${id}`}
    title={pilotName}
    under={`${KIND_WORDS[kind]} ${sayDay(day)}: ${causeWords(causeId).name}?${begun ? ' Debrief begun.' : ''}`}
  />
);
