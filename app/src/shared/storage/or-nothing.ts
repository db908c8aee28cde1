const REFUSALS = ['SecurityError', 'InvalidStateError'];

/** What is asked of a database that a browser may not have, or refuse to this page: there is nothing to read then, and nothing to drop. */
export async function orNothing<T>(work: () => Promise<T>, nothing: T): Promise<T> {
  if (!('indexedDB' in globalThis) || (globalThis.indexedDB as unknown) === undefined) return nothing;
  try {
    return await work();
  } catch (error) {
    if (!(error instanceof DOMException && REFUSALS.includes(error.name))) throw error;
    return nothing;
  }
}
