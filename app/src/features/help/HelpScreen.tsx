import { glossary, guide, helpOf, type Term } from '@skelby/copy/help';
import { type Href, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Sandbox } from '../../offline/ui/Sandbox';
import { TextBox } from '../../shared/forms/TextBox';
import { STANDING_LINE } from '../../shared/copy/copy';
import { LinkRow, Rows } from '../../shared/ui/Rows';
import { Part, Screen } from '../../shared/ui/Screen';
import { SHORTCUTS } from '../../shared/ui/shortcuts';
import { Words } from '../../shared/ui/Words';

function Terms({ terms }: { readonly terms: readonly Term[] }) {
  return (
    <View style={{ gap: 12 }}>
      {terms.map(({ id, word, means }) => (
        <View key={id}>
          <Words as="strong">{word}</Words>
          <Words as="soft">{means}</Words>
        </View>
      ))}
    </View>
  );
}

/** Every word of ours, to be looked for. */
function Glossary() {
  const [wanted, setWanted] = useState('');
  const looked = wanted.trim().toLowerCase();
  const found = glossary().filter(({ word, means }) => `${word} ${means}`.toLowerCase().includes(looked));
  return (
    <Part heading="All words">
      <TextBox label="Find a word" value={wanted} onChangeText={setWanted} autoCapitalize="none" />
      {found.length === 0 ? <Words as="soft">No such word here.</Words> : <Terms terms={found} />}
    </Part>
  );
}

/** What the screen one came from is for, the words on it, and the way from a first crash to a first clearance. */
export function HelpScreen() {
  const { of } = useLocalSearchParams<{ of?: string }>();
  const { says, terms } = helpOf(of ?? '/');
  return (
    <Screen title="Help" up={(of ?? '/') as Href} aside={<Glossary />}>
      <View style={{ gap: 8 }}>
        {says.map((each) => (
          <Words key={each}>{each}</Words>
        ))}
      </View>
      {/* Asked for no screen: whoever is new here. */}
      {of === undefined ? <Sandbox /> : null}
      {terms.length > 0 ? (
        <Part heading="Words on that screen">
          <Terms terms={terms} />
        </Part>
      ) : null}
      <Part heading="The first five minutes">
        <Rows>
          {guide().map(({ does, how, href }, i) => (
            <LinkRow key={does} href={href as Href} title={`${i + 1}. ${does}`} under={how} />
          ))}
        </Rows>
      </Part>
      {of === undefined ? null : <Sandbox />}
      <Part heading="Keys, with Alt and Shift held">
        <View style={{ gap: 4 }}>
          {SHORTCUTS.map(({ key, leads }) => (
            <Words key={key}>{`${key}: ${leads}`}</Words>
          ))}
        </View>
      </Part>
      <Words as="soft">{STANDING_LINE}</Words>
    </Screen>
  );
}
