import { usePathname } from 'expo-router';
import { useCallback, useRef, useState } from 'react';
import type { FieldValues } from 'react-hook-form';
import { useDraft } from '../storage/use-draft';

interface KeptFields {
  readonly at: number;
  readonly fields: FieldValues;
}

const isSame = (a: unknown, b: unknown): boolean => JSON.stringify(a ?? null) === JSON.stringify(b ?? null);

/**
 * What is changed in a form and not saved: kept under its address, so that a reload, a call or the bar below loses nothing.
 * Only what differs from the record is kept: what somebody else changes meanwhile stays theirs.
 * @param title of the form, to be offered by
 * @param values of the record
 */
export function useKeptFields(title: string, values: FieldValues) {
  const path = usePathname();
  const address = typeof window === 'undefined' ? path : `${path}${window.location?.search ?? ''}`;
  const begun = useRef(values);
  const named =
    typeof values['name'] === 'string' && values['name'] !== '' ? `${title}: ${values['name']}` : title;
  const { draft, change, drop } = useDraft<KeptFields>({
    name: `form.${address}`,
    begin: () => ({ at: 0, fields: {} }),
    about: ({ fields }) =>
      Object.keys(fields).length > 0 ? { what: named, pilotId: null, href: address } : null,
  });
  // What was there when the form was opened: what is typed after that needs no word.
  const [found, setFound] = useState(draft);
  const keepChanged = useCallback(
    (now: FieldValues) => {
      const fields = Object.fromEntries(
        Object.entries(now).filter(([name, value]) => !isSame(value, begun.current[name])),
      );
      if (Object.keys(fields).length === 0) drop();
      else change({ at: Date.now(), fields });
    },
    [change, drop],
  );
  const forget = () => {
    drop();
    setFound({ at: 0, fields: {} });
  };
  return {
    fields: found.fields,
    isKept: found.at > 0,
    /** When it was changed last, ms. */
    since: found.at,
    keepChanged,
    forget,
  };
}
