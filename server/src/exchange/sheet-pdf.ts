import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';

/** What stands on a sheet of paper, in words. */
export interface Sheet {
  readonly title: string;
  readonly under: string;
  readonly parts: readonly {
    readonly heading: string;
    readonly lines?: readonly string[];
    readonly rows?: readonly { readonly what: string; readonly says: string }[];
  }[];
  readonly foot: readonly string[];
}

/** What a machine reads beside the words, inside the same file. */
export interface Attached {
  readonly name: string;
  readonly content: string;
  readonly description: string;
}

const A4 = { size: 'A4', margin: 56 } as const;
const SIZES = { title: 20, heading: 13, line: 10.5, foot: 8.5 } as const;
const WHAT_WIDTH = 0.42;
const GAP = 12;

const { resolve: fileOf } = createRequire(import.meta.url);
const FONTS = {
  plain: fileOf('dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf'),
  bold: fileOf('dejavu-fonts-ttf/ttf/DejaVuSansCondensed-Bold.ttf'),
};

/** One line of two columns, kept together on a page. */
function rowOn(doc: PDFKit.PDFDocument, what: string, says: string): void {
  const { left, right } = doc.page.margins;
  const width = doc.page.width - left - right;
  const [first, second] = [WHAT_WIDTH * width, (1 - WHAT_WIDTH) * width - GAP];
  const height = Math.max(
    doc.heightOfString(what, { width: first }),
    doc.heightOfString(says, { width: second }),
  );
  if (doc.y + height > doc.page.height - doc.page.margins.bottom) doc.addPage();
  const top = doc.y;
  doc.text(what, left, top, { width: first });
  doc.text(says, left + first + GAP, top, { width: second });
  doc.x = left;
  doc.y = top + height + 3;
}

/** The sheet as a PDF 1.3 on A4, with what a machine reads attached. */
export function sheetPdf(sheet: Sheet, attached: Attached, at: Date): Promise<Buffer> {
  const doc = new PDFDocument({
    ...A4,
    pdfVersion: '1.3',
    lang: 'en',
    info: { Title: sheet.title, Creator: 'Skelby', Producer: 'Skelby', CreationDate: at, ModDate: at },
  });
  const pieces: Buffer[] = [];
  const whole = new Promise<Buffer>((resolve, reject) => {
    doc.on('data', (piece: Buffer) => pieces.push(piece));
    doc.on('end', () => resolve(Buffer.concat(pieces)));
    doc.on('error', reject);
  });
  doc.font(FONTS.bold).fontSize(SIZES.title).text(sheet.title);
  doc.font(FONTS.plain).fontSize(SIZES.line).text(sheet.under).moveDown();
  for (const { heading, lines = [], rows = [] } of sheet.parts) {
    doc.font(FONTS.bold).fontSize(SIZES.heading).text(heading).moveDown(0.3);
    doc.font(FONTS.plain).fontSize(SIZES.line);
    for (const line of lines) doc.text(line).moveDown(0.2);
    for (const { what, says } of rows) rowOn(doc, what, says);
    doc.moveDown(0.8);
  }
  doc.fontSize(SIZES.foot);
  for (const line of sheet.foot) doc.text(line).moveDown(0.2);
  doc.file(Buffer.from(attached.content), {
    ...{ name: attached.name, type: 'application/json', description: attached.description },
    ...{ creationDate: at, modifiedDate: at },
  });
  doc.end();
  return whole;
}
