declare module '*.woff2' {
  const source: number;
  export default source;
}

/**
 * Metro's own way to name the file of a worker. The usual `new Worker(new URL(…))` is lost when unused code
 * is left out.
 */
declare const require: { readonly unstable_resolveWorker: (file: string) => string };
