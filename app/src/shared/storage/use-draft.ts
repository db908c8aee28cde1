import { useCallback, useEffect, useRef, useState } from 'react';
import { forget, keep, kept, namesUnder, whenForgottenElsewhere } from './storage';
import { isThere, sayHere, thisTab } from './this-tab';

/** What is begun and not yet sent: kept from the first tap, so that a reload, a call or a killed tab loses nothing. */
interface DraftKind<T> {
  /** The thing, and whose it is: `debrief.<occurrence>`. Each tab has its own. */
  readonly name: string;
  readonly begin: () => T;
  /** How one that was kept goes on; null where a new one is begun instead. */
  readonly goOn?: (last: T) => T | null;
  /** How one that another tab has left behind goes on: with keys of its own, if it is sent under keys. */
  readonly takeOver?: (last: T) => T;
  /** What it is, to be offered by name; null or absent: nothing that anybody would look for. */
  readonly about?: (draft: T) => About | null;
}

/** Something that is not finished, and where it goes on. */
interface About {
  readonly what: string;
  readonly pilotId: string | null;
  readonly href: string;
}

interface KeptDraft<T> {
  readonly at: number;
  readonly about?: About | null;
  readonly draft: T;
}

const ofTab = (name: string, tab: string) => `${name}@${tab}`;

function keepOwn<T>(name: string, draft: T, about: About | null = null): void {
  keep(ofTab(name, thisTab()), { at: Date.now(), draft, ...(about ? { about } : {}) } satisfies KeptDraft<T>);
  sayHere();
}

/** Drafts of tabs that are gone, the newest first. The first version kept one for all tabs, under the bare name. */
function leftBehind<T>(name: string): readonly (KeptDraft<T> & { readonly under: string })[] {
  const bare = kept<T>(name);
  const others = namesUnder(`${name}@`)
    .filter((under) => !isThere(under.slice(name.length + 1)))
    .flatMap((under) => {
      const left = kept<KeptDraft<T>>(under);
      return left ? [{ ...left, under }] : [];
    });
  return [...others, ...(bare === null ? [] : [{ at: 0, draft: bare, under: name }])].sort(
    (a, b) => b.at - a.at,
  );
}

/** This tab's draft, or the newest that a tab left behind; null where there is none. */
function lastOf<T>({ name, takeOver }: Pick<DraftKind<T>, 'name' | 'takeOver'>): T | null {
  const own = kept<KeptDraft<T>>(ofTab(name, thisTab()));
  if (own) return own.draft;
  const [left] = leftBehind<T>(name);
  if (!left) return null;
  const draft = takeOver ? takeOver(left.draft) : left.draft;
  keepOwn(name, draft, left.about);
  forget(left.under);
  return draft;
}

/** Begins a draft for a screen that is opened next in this tab. */
export const beginDraft = <T>(name: string, draft: T): void => keepOwn(name, draft);

export interface Draft<T> {
  readonly draft: T;
  readonly change: (part: Partial<T> | ((last: T) => T)) => void;
  /** Begins anew; nothing stays kept. */
  readonly drop: () => void;
  /** Begins anew, and what was there can be brought back. */
  readonly throwAway: () => void;
  /** It was sent: nothing stays kept, and the screen shows it until it is left. */
  readonly sent: () => void;
}

/** A draft that belongs to a thing and to this tab. */
export function useDraft<T extends object>(kind: DraftKind<T>): Draft<T> {
  const { name } = kind;
  const how = useRef(kind);
  how.current = kind;
  const [draft, setDraft] = useState<T>(() => {
    const last = lastOf(kind);
    return (last && (kind.goOn ? kind.goOn(last) : last)) ?? kind.begin();
  });
  const change = useCallback(
    (part: Partial<T> | ((last: T) => T)) =>
      setDraft((last) => {
        const next = typeof part === 'function' ? part(last) : { ...last, ...part };
        keepOwn(name, next, how.current.about?.(next));
        return next;
      }),
    [name],
  );
  const sent = useCallback(() => forget(ofTab(name, thisTab())), [name]);
  const throwOwn = useCallback(() => {
    throwAway(ofTab(name, thisTab()));
    setDraft(how.current.begin());
  }, [name]);
  const drop = useCallback(() => {
    sent();
    setDraft(how.current.begin());
  }, [sent]);
  // A tab that slept is taken for gone: what goes on in another is no longer here.
  useEffect(
    () => whenForgottenElsewhere(ofTab(name, thisTab()), () => setDraft(how.current.begin())),
    [name],
  );
  return { draft, change, drop, throwAway: throwOwn, sent };
}

/** What was thrown away last, until the page is left for good: one tap brings it back. */
let thrown: { readonly under: string; readonly was: KeptDraft<unknown> } | null = null;

/** Throws away what is kept under a name. */
export function throwAway(under: string): void {
  const was = kept<KeptDraft<unknown>>(under);
  if (was) thrown = { under, was };
  forget(under);
}

/** What can be brought back; null: nothing. */
export const lastThrown = (): string | null => thrown?.was.about?.what ?? null;

/** Brings back what was thrown away last, in this tab. */
export function undoThrowing(): void {
  if (!thrown) return;
  keep(ofTab(thrown.under.replace(/@[^@]+$/, ''), thisTab()), thrown.was);
  sayHere();
  thrown = null;
}

export interface Unfinished extends About {
  /** Name under which it is kept. */
  readonly under: string;
  /** When it was last changed, ms. */
  readonly at: number;
}

/** What this tab, or one that is gone, has begun and not sent, the newest first. */
export const unfinishedHere = (): readonly Unfinished[] =>
  namesUnder('')
    .flatMap((under) => {
      const [, tab] = /@([^@]+)$/.exec(under) ?? [];
      if (!tab || (tab !== thisTab() && isThere(tab))) return [];
      const { about, at = 0 } = kept<KeptDraft<unknown>>(under) ?? {};
      return about ? [{ ...about, under, at }] : [];
    })
    .sort((a, b) => b.at - a.at);
