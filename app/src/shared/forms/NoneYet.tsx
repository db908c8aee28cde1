import type { Href } from 'expo-router';
import { View } from 'react-native';
import { LinkButton } from '../ui/Button';
import { Words } from '../ui/Words';

/** What a choice is made from, where there may be none yet. */
export type ChosenFrom = 'pilots' | 'craft' | 'sites';

const NONE: Readonly<
  Record<ChosenFrom, { readonly says: string; readonly label: string; readonly href: Href }>
> = {
  pilots: { says: 'No pilots yet.', label: 'Add the first pilot', href: '/pilots/new/edit' },
  craft: { says: 'No craft yet.', label: 'Add the first craft', href: '/craft/new' },
  sites: { says: 'No sites yet.', label: 'Add the first site', href: '/sites/new' },
};

/** In the place of options that are not there: the step that makes some. */
export function NoneYet({ label, of }: { readonly label: string; readonly of: ChosenFrom }) {
  const { says, ...link } = NONE[of];
  return (
    <View style={{ gap: 6, alignItems: 'flex-start' }} role="group" aria-label={label}>
      <Words as="soft">{`${label}: ${says.charAt(0).toLowerCase()}${says.slice(1)}`}</Words>
      <LinkButton icon="plus" {...link} />
    </View>
  );
}
