import { causeWords } from '@skelby/copy/causes';
import { CAUSES } from '@skelby/core/causes/causes';
import type { SearchPage } from '@skelby/core/pages/search';
import { holdsWords, SOUGHT_SIGNS, wordsSought } from '@skelby/core/vocabulary/sought';
import { type Href, useLocalSearchParams, useRouter } from 'expo-router';
import { type ReactNode, useEffect, useState } from 'react';
import { useRoster } from '../../offline/overlay/use-roster';
import { useSearch } from '../../offline/search-queries';
import { useDrills } from '../../shared/api/use-drills';
import { KIND_WORDS } from '../../shared/copy/copy';
import { sayDay } from '../../shared/copy/dates';
import { Choice } from '../../shared/forms/Choice';
import { TextBox } from '../../shared/forms/TextBox';
import { Note } from '../../shared/ui/Note';
import { LinkRow, Rows } from '../../shared/ui/Rows';
import { Part, Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';

/** A pause in typing this long is the end of a word, ms. */
const PAUSE_MS = 250;
const AT_FIRST = 8;
const AMONG = [
  { value: 'all', label: 'Everything' },
  { value: 'entries', label: 'Entries' },
  { value: 'pilots', label: 'Pilots' },
  { value: 'drills', label: 'Drills' },
  { value: 'kit', label: 'Sites and craft' },
] as const;
type Among = (typeof AMONG)[number]['value'];

interface Hit {
  readonly id: string;
  readonly href: Href;
  readonly title: string;
  readonly under?: string;
}

/** The words in the address: a link to what was found finds it again. */
function useSought() {
  const { q = '', among } = useLocalSearchParams<{ q?: string; among?: string }>();
  const router = useRouter();
  const [typed, setTyped] = useState(q);
  useEffect(() => {
    const pause = setTimeout(() => {
      if (typed.trim() !== q) router.setParams({ q: typed.trim() });
    }, PAUSE_MS);
    return () => clearTimeout(pause);
  }, [typed, q, router]);
  return {
    ...{ q, typed, setTyped },
    among: AMONG.find(({ value }) => value === among)?.value ?? ('all' as Among),
    lookAmong: (value: Among) => router.setParams({ among: value }),
  };
}

const causesNamed = (words: readonly string[]) =>
  CAUSES.filter(({ id }) => holdsWords(causeWords(id).name, words)).map(({ id }) => id);

const entryHits = (found: SearchPage | undefined): readonly Hit[] =>
  (found?.entries ?? []).map(({ id, kind, causeId, day, pilotName, text }) => ({
    id,
    href: `/occurrence/${id}`,
    title: `${KIND_WORDS[kind]}: ${causeWords(causeId).name}`,
    under: [pilotName ?? 'name withheld', sayDay(day), text].filter(Boolean).join(' · '),
  }));

/** What this phone has itself, and with signal what the school has. */
function useHits(q: string) {
  const words = wordsSought(q);
  const search = useSearch(q, causesNamed(words));
  const roster = useRoster();
  const { all: drills } = useDrills();
  const named = (
    kind: 'pilots' | 'sites' | 'craft',
    href: (id: string) => Href,
    under?: string,
  ): readonly Hit[] => {
    const here = (roster.data?.[kind] ?? []).filter(({ name, note }) => holdsWords(`${name} ${note}`, words));
    const there = (search.data?.[kind] ?? []).filter(({ id }) => !here.some((each) => each.id === id));
    return words.length === 0
      ? []
      : [...here, ...there].map(({ id, name }) => ({
          id,
          href: href(id),
          title: name,
          ...(under ? { under } : {}),
        }));
  };
  const hits: Readonly<Record<Exclude<Among, 'all'>, readonly Hit[]>> = {
    entries: words.length === 0 ? [] : entryHits(search.data),
    pilots: named('pilots', (id) => `/pilots/${id}`),
    drills: drills
      .filter(({ name, trains, task }) => holdsWords(`${name} ${trains} ${task}`, words))
      .map(({ id, name, trains }) => ({ id, href: `/drills/${id}`, title: name, under: trains })),
    kit: [
      ...named('sites', (id) => `/sites/${id}`, 'Site'),
      ...named('craft', (id) => `/craft/${id}`, 'Craft'),
    ],
  };
  return { hits, search, asked: words.length > 0 };
}

function Found({
  of,
  hits,
  rest,
}: {
  readonly of: string;
  readonly hits: readonly Hit[];
  readonly rest?: ReactNode;
}) {
  if (hits.length === 0) return null;
  return (
    <Part heading={of}>
      <Rows atFirst={AT_FIRST} rest={rest}>
        {hits.map(({ id, ...hit }) => (
          <LinkRow key={id} {...hit} />
        ))}
      </Rows>
    </Part>
  );
}

/** One place to look for whatever one half remembers. */
export function SearchScreen() {
  const { q, typed, setTyped, among, lookAmong } = useSought();
  const { hits, search, asked } = useHits(q);
  const shown = AMONG.flatMap(({ value, label }) =>
    value !== 'all' && (among === 'all' || among === value) ? [{ value, label }] : [],
  );
  const none = asked && !search.isFetching && shown.every(({ value }) => hits[value].length === 0);
  return (
    <Screen title="Find" up="/kit">
      <TextBox
        label="Words you remember"
        hint="A name, a place, a cause, what was damaged: beginnings of words are enough."
        value={typed}
        onChangeText={setTyped}
        maxLength={SOUGHT_SIGNS}
        autoFocus
        autoCapitalize="none"
        inputMode="search"
      />
      <Choice label="Look among" quiet options={AMONG} value={among} onChange={lookAmong} acts />
      {search.isError ? (
        <Note icon="wifi-off" heading="Only what is on this phone" live>
          {`Entries and what debriefs say were not looked through: ${search.error.message}`}
        </Note>
      ) : null}
      {shown.map(({ value, label }) => (
        <Found
          key={value}
          of={label}
          hits={hits[value]}
          rest={
            value === 'entries' && search.data?.hasMore ? (
              <Words as="soft">There are more: add a word.</Words>
            ) : undefined
          }
        />
      ))}
      <Words as="soft" role="status">
        {none ? `Nothing with “${q}”.` : asked && search.isFetching ? 'Looking …' : ''}
      </Words>
    </Screen>
  );
}
