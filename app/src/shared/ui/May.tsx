import type { Right } from '@skelby/core/people/roles';
import type { ReactNode } from 'react';
import { useMay } from '../api/use-may';

/** What is only there for whoever may do it. */
export function May({ right, children }: { readonly right: Right; readonly children: ReactNode }) {
  return useMay(right) ? children : null;
}
