import { hash } from '@node-rs/argon2';

/** OWASP's first choice of Argon2id parameters: 19 MiB, two passes, one lane. */
const ARGON = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

export const hashPassword = (password: string): Promise<string> => hash(password, ARGON);
