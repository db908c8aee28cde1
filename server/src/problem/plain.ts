import { badField } from './problem';

/** Names that every object has by inheritance: sent as fields they would stand in for what code relies on. */
const INHERITED = new Set([...Object.getOwnPropertyNames(Object.prototype), 'then', 'prototype']);
/** Deeper than any shape goes. */
const DEEPEST = 40;

/**
 * Looks a body over before any shape does: no inherited names, and not nested without end. Shapes may then take
 * what they are given for plain data.
 * @param skip the path of a part that is looked over for itself
 * @throws Problem 422 naming the place
 */
export function assertPlain(value: unknown, skip: (path: string) => boolean = () => false): void {
  const look = (part: unknown, path: string, depth: number): void => {
    if (part === null || typeof part !== 'object' || skip(path)) return;
    if (depth > DEEPEST)
      throw badField(path, `${path} is nested more than ${DEEPEST} deep: send it flatter.`);
    for (const key of Object.keys(part)) {
      const at = Array.isArray(part) ? `${path}[${key}]` : path ? `${path}.${key}` : key;
      if (INHERITED.has(key)) throw badField(at, `${at} is a name that no field has: leave it out.`);
      look((part as Record<string, unknown>)[key], at, depth + 1);
    }
  };
  look(value, '', 0);
}
