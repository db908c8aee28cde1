import { createReadStream } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Context } from 'koa';

const FILE = fileURLToPath(new URL('../../../docs/openapi.json', import.meta.url));

/** How programs ask, as OpenAPI 3.1: for everybody to read, since it says nothing of any school. */
export function openApiDocument(ctx: Context): void {
  ctx.type = 'application/json';
  ctx.body = createReadStream(FILE);
}
