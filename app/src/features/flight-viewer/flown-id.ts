import { sha256 } from '@noble/hashes/sha2.js';
import { utf8ToBytes } from '@noble/hashes/utils.js';
import { flownText } from '@skelby/core/recorded-flight/fingerprint';
import { keyOfHash } from '@skelby/core/vocabulary/key-of-hash';

/** The id of a recorded flight among those that were flown: brought in twice, by anybody, it is one. */
export const flownIdOf = (fingerprint: string): string =>
  keyOfHash(sha256(utf8ToBytes(flownText(fingerprint))));
