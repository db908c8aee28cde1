import type { Link, ProposedLink } from '@skelby/core/debrief/chain';
import { said } from './say';

/** A proposed chain in words, as a trainer goes on from it. */
export const chainInWords = (proposed: readonly ProposedLink[]): readonly Link[] =>
  proposed.map(({ said: words, ...link }) => ({ ...link, words: said(words) }));
