import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';

/**
 * The id of a recorded flight among those that were flown: brought in twice, by anybody, it is one. A UUID of version 8
 * (RFC 9562, 5.8) from the first 122 bits of what the flight is known by, hashed.
 */
export function flownIdOf(fingerprint: string): string {
  const bytes = sha256(utf8ToBytes(`skelby flight ${fingerprint}`)).slice(0, 16);
  bytes[6] = (bytes[6]! & 0x0f) | 0x80;
  bytes[8] = (bytes[8]! & 0x3f) | 0x80;
  return bytesToHex(bytes).replace(/^(.{8})(.{4})(.{4})(.{4})/, '$1-$2-$3-$4-');
}
