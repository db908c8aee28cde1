import { sumWords } from '@skelby/copy/sums';
import { NOTHING } from '@skelby/core/evidence/question';
import { craftFacts, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import { sumOf, SUMS } from '@skelby/core/sums/sums';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { Roster } from '@skelby/core/pages/pages';
import { useRoster } from '../../offline/overlay/use-roster';
import { LongChoice } from '../../shared/forms/Choice';
import { Loaded } from '../../shared/ui/Loaded';
import { LinkRow, PressRow, Rows } from '../../shared/ui/Rows';
import { Part, Screen, useIsWide } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { SumCard } from '../../shared/forms/SumCard';

function Sums({ roster }: { readonly roster: Roster }) {
  const { sum: wanted } = useLocalSearchParams<{ sum?: string }>();
  const router = useRouter();
  const wide = useIsWide();
  const [craftId, setCraftId] = useState(
    roster.pilots.find((pilot) => pilot.lastCraftId)?.lastCraftId ?? roster.craft[0]?.id ?? null,
  );
  const craft = craftFacts(roster.craft.find((each) => each.id === craftId) ?? USUAL_CRAFT);
  const sum = wanted ? sumOf(wanted) : wide ? SUMS[0] : undefined;
  const craftChoice =
    roster.craft.length === 0 ? (
      <Words as="soft">No craft yet: a usual one is taken. Add yours under More.</Words>
    ) : (
      <LongChoice
        label="Craft"
        options={roster.craft.map(({ id, name }) => ({ value: id, label: name }))}
        value={craftId}
        onChange={setCraftId}
      />
    );
  const card = sum ? (
    <View nativeID="skelby-print">
      <SumCard key={`${sum.id} ${craftId}`} sum={sum} given={sum.start(NOTHING, craft)} craft={craft} open />
    </View>
  ) : null;
  if (sum && !wide)
    return (
      <Screen title="Figures" up="/sums">
        {card}
        {craftChoice}
      </Screen>
    );
  return (
    <Screen title="Figures" aside={card}>
      <Part heading="Before a flight">
        <Rows>
          <LinkRow
            href="/sums/card"
            title="Flight card"
            under="Pilot, craft, site and wind on one card, to print"
          />
        </Rows>
      </Part>
      {craftChoice}
      <Part heading="One by one">
        <Rows>
          {SUMS.map((each) => (
            <PressRow
              key={each.id}
              title={sumWords(each.id).question}
              onPress={() =>
                wide ? router.setParams({ sum: each.id }) : router.push(`/sums?sum=${each.id}`)
              }
            />
          ))}
        </Rows>
      </Part>
    </Screen>
  );
}

/** The same sums as in a debrief, on their own, for planning. */
export function SumsScreen() {
  const roster = useRoster();
  return (
    <Loaded query={roster} title="Figures">
      {(data) => <Sums roster={data} />}
    </Loaded>
  );
}
