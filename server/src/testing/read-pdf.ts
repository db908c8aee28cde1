import { readFileSync } from 'node:fs';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** What another author's reader sees in a PDF, as JSON: in a process of its own, since it is no script that Jest takes. */
const [file] = process.argv.slice(2);
const document = await getDocument({ data: new Uint8Array(readFileSync(file!)), verbosity: 0 }).promise;
const pages = await Promise.all(
  Array.from({ length: document.numPages }, async (_, nth) =>
    (await document.getPage(nth + 1)).getTextContent(),
  ),
);
const words = pages.flatMap(({ items }) => items.map((item) => ('str' in item ? item.str : '')));
const attachments = ((await document.getAttachments()) ?? {}) as Record<string, { content: Uint8Array }>;
process.stdout.write(
  JSON.stringify({
    pages: document.numPages,
    text: words.join(' ').replace(/\s+/g, ' '),
    attached: Object.fromEntries(
      Object.entries(attachments).map(([name, { content }]) => [name, Buffer.from(content).toString()]),
    ),
  }),
);
