/** What is asked of an entry, in order. */
export const LOG_STEPS = ['pilot', 'kind', 'family', 'cause', 'save'] as const;
export type LogStep = (typeof LOG_STEPS)[number];
