import type { Injury, Likelihood, Risk, Severity } from '@skelby/core/debrief/severity';

export const SEVERITY_WORDS: Readonly<Record<Severity, string>> = {
  negligible: 'Nothing broken',
  minor: 'Small repair',
  major: "Craft lost, or others' things damaged",
  hazardous: 'Somebody hurt',
  catastrophic: 'A life at stake',
};
export const LIKELIHOOD_WORDS: Readonly<Record<Likelihood, string>> = {
  rare: 'Hardly',
  possible: 'Possibly',
  likely: 'Likely',
};
export const RISK_WORDS: Readonly<Record<Risk, string>> = { low: 'Low', medium: 'Medium', high: 'High' };
export const INJURY_WORDS: Readonly<Record<Injury, string>> = {
  none: 'None',
  'first-aid': 'First aid',
  medical: 'Medical help',
};

/** What breaks first on small craft comes first. Common practice. */
export const PARTS = ['Camera', 'Camera mount', 'Rotor', 'Arm', 'Motor', 'Legs', 'Shell', 'Battery'] as const;
