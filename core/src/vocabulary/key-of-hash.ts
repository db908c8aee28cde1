/** A key from a hash: a UUID of version 8 (RFC 9562, 5.8) of its first 122 bits. @param hash at least 16 bytes */
export function keyOfHash(hash: Uint8Array): string {
  const bytes = hash.slice(0, 16);
  bytes[6] = (bytes[6]! & 0x0f) | 0x80;
  bytes[8] = (bytes[8]! & 0x3f) | 0x80;
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})/, '$1-$2-$3-$4-');
}
