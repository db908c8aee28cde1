/**
 * Which edition of the readers answers for a flight. Raised when a reader says something else of the same flight, so that
 * what an earlier edition answered can be read again, by whoever wants that.
 */
export const READERS_EDITION = 3;
