import { useToDebrief } from '../../offline/overlay/today-queries';
import { OlderOnes } from '../../shared/ui/OlderOnes';
import { Rows } from '../../shared/ui/Rows';
import { Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { debriefRow } from './debrief-row';
import { SettleHistory } from './SettleHistory';
import { useMine } from './use-mine';
import { Whose } from './Whose';

/** All that is to be debriefed, where there is more of it than Today has room for. */
export function ToDebriefScreen() {
  const { hasChoice, shown, choose } = useMine();
  const list = useToDebrief(shown);
  const { data, error, isFetching } = list;
  const occurrences = data?.pages.flatMap((page) => page.toDebrief) ?? [];
  return (
    <Screen title="To debrief" up="/" aside={<SettleHistory />}>
      {hasChoice ? <Whose shown={shown} choose={choose} /> : null}
      {error ? <Words as="strong" role="alert">{`! ${error.message}`}</Words> : null}
      <Rows empty={isFetching || error ? undefined : 'Nothing to debrief.'}>
        {occurrences.map(debriefRow)}
      </Rows>
      <OlderOnes list={list} />
    </Screen>
  );
}
