/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react-native';
import { keep, kept, namesUnder } from './storage';
import { isThere, thisTab } from './this-tab';
import { beginDraft, useDraft } from './use-draft';

interface Note {
  readonly id: string;
  readonly text: string;
}

const begin = (): Note => ({ id: 'new', text: '' });
const open = (name = 'note.a', more = {}) =>
  renderHook(() => useDraft<Note>({ name, begin, ...more })).result;

beforeEach(() => {
  for (const name of namesUnder('note.')) localStorage.removeItem(`skelby.${name}`);
});

test('what was typed is there again after a reload, of the same thing only', () => {
  const first = open();
  act(() => first.current.change({ text: 'Half a sen' }));
  act(() => first.current.change((last) => ({ ...last, text: `${last.text}tence` })));
  expect(open().current.draft.text).toBe('Half a sentence');
  expect(open('note.b').current.draft).toEqual(begin());
  act(() => first.current.drop());
  expect([first.current.draft, open().current.draft]).toEqual([begin(), begin()]);
});

test('a tab that is still there keeps its draft; one that is gone leaves it to the next', () => {
  keep('note.a@other', { at: 5, draft: { id: 'theirs', text: 'Of the other tab' } });
  keep('tab.other', Date.now());
  expect(isThere('other')).toBe(true);
  expect(open().current.draft).toEqual(begin());
  keep('tab.other', Date.now() - 60_000);
  keep('note.a@older', { at: 3, draft: { id: 'older', text: 'Older' } });
  const takeOver = (last: Note): Note => ({ ...last, id: 'mine' });
  expect(open('note.a', { takeOver }).current.draft).toEqual({ id: 'mine', text: 'Of the other tab' });
  expect(kept('note.a@other')).toBeNull();
  expect(kept(`note.a@${thisTab()}`)).toMatchObject({ draft: { id: 'mine' } });
});

test('what goes on in another tab, since this one slept, is no longer here', () => {
  const asleep = open();
  act(() => asleep.current.change({ text: 'Begun here' }));
  const key = `skelby.note.a@${thisTab()}`;
  act(() => {
    localStorage.removeItem(key);
    window.dispatchEvent(new StorageEvent('storage', { key: 'skelby.other', newValue: null }));
  });
  expect(asleep.current.draft.text).toBe('Begun here');
  act(() => {
    window.dispatchEvent(new StorageEvent('storage', { key, newValue: null }));
  });
  expect(asleep.current.draft).toEqual(begin());
});

test('once it is sent nothing stays kept, and the screen goes on showing it', () => {
  const result = open();
  act(() => result.current.change({ text: 'Sent' }));
  act(() => result.current.sent());
  expect(result.current.draft.text).toBe('Sent');
  expect(open().current.draft).toEqual(begin());
});

test('a draft of the version that kept one for all tabs goes on', () => {
  keep('note.a', { id: 'old', text: 'From before' });
  expect(open().current.draft).toEqual({ id: 'old', text: 'From before' });
  expect(kept('note.a')).toBeNull();
});

test('one that may not go on gives way to a new one; one begun elsewhere in this tab is opened', () => {
  keep('note.a', { id: 'old', text: '' });
  expect(open('note.a', { goOn: (last: Note) => (last.text === '' ? null : last) }).current.draft).toEqual(
    begin(),
  );
  beginDraft<Note>('note.a', { id: 'begun', text: 'In a session' });
  expect(open().current.draft.id).toBe('begun');
});
