import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { connect } from 'node:net';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { EmberError } from '../core/errors.ts';
import { LABEL_SIZES, type LabelData, type LabelSize } from '../core/trace/label.ts';
import { labelWords, type LabelLines } from '../words/labels.ts';
import { ACTIVITIES } from './activities.ts';
import type { HouseState } from '../core/record/house.ts';
import type { Room } from './room.ts';
import { labelData } from './views/label.ts';

const POINTS_A_MM = 72 / 25.4;
const require = createRequire(import.meta.url);

interface PdfMake {
  setFonts(fonts: Record<string, Record<string, string>>): void;
  setUrlAccessPolicy(policy: () => boolean): void;
  setLocalAccessPolicy(policy: (path: string) => boolean): void;
  createPdf(definition: TDocumentDefinitions): { getBuffer(): Promise<Buffer> };
}
let printer: PdfMake | null = null;

/** The maker of PDFs, with the house's own letters and nothing from outside. */
function pdfMaker(): PdfMake {
  if (printer) return printer;
  const made = require('pdfmake') as PdfMake;
  const folder = dirname(require.resolve('@expo-google-fonts/atkinson-hyperlegible-next/package.json'));
  const font = (weight: string) => join(folder, weight, `AtkinsonHyperlegibleNext_${weight}.ttf`);
  made.setFonts({
    Hyperlegible: {
      normal: font('400Regular'),
      bold: font('700Bold'),
      italics: font('400Regular_Italic'),
      bolditalics: font('700Bold')
    }
  });
  made.setUrlAccessPolicy(() => false);
  made.setLocalAccessPolicy((path) => path.startsWith(folder));
  printer = made;
  return made;
}

/** A label as it is printed: its lines, and the page its square code leads to. */
interface Printed {
  readonly words: LabelLines;
  readonly path: string;
  readonly code: string;
}

/**
 * The label of a piece, or of what else an activity keeps.
 *
 * @throws EmberError `record.not-found`
 */
export function printedOf(room: Room, id: string): Printed {
  const kept = room.store.projections.subjects.find(id);
  const label = kept && ACTIVITIES.find((each) => each.label?.kind === kept.kind.kind)?.label;
  if (kept && label) return { words: label.lines(room.store, id), path: kept.kind.path(id), code: id };
  return {
    words: labelWords(labelData(room, id), room.store.projections.currentHouse()),
    path: `/piece/${id}`,
    code: id
  };
}

/** Width of a letter and height of a line, as shares of the type size. */
const LETTER_WIDTH = 0.6;
const LINE_HEIGHT = 1.2;
/** What binds is read at arm's length: the largest of these that fits, points. */
const BINDING_TYPES = [14, 13, 12, 11, 10, 9, 8, 7, 6];
/** A code that a phone reads at a hand's width needs no more than this, mm. */
const CODE_MM = 14;
/** Left free at the foot, points. */
const SLACK = 7;

const tallOf = (text: string, type: number, width: number) =>
  Math.ceil((text.length * type * LETTER_WIDTH) / width) * type * LINE_HEIGHT;

/** The largest type in which the first line of a label, what binds, takes three lines at the most and a third of it, points. */
export const bindingType = (text: string, width: number, height: number): number =>
  BINDING_TYPES.find((type) => tallOf(text, type, width) <= Math.min(3 * type * LINE_HEIGHT, height * 0.36)) ?? 6;

/** The largest type in which all other lines of a label stay on it, points: a label that runs over would push all after it. */
export function typeFor(words: ReturnType<typeof labelWords>, width: number, height: number): number {
  const lines = (text: string, type: number) => tallOf(text, type, width);
  for (let type = 11; type > 4; type -= 0.5) {
    const tall =
      lines(words.name, type + 1) +
      lines(words.code, type) +
      lines(words.mass, type) +
      lines(words.made, type) +
      lines(words.allergens, type);
    if (tall <= height) return type;
  }
  return 4;
}

function labelBlock({ words, path }: Printed, size: LabelSize, origin: string): Content {
  const [wide, tall] = [size.width - 2 * size.margin, size.height - 2 * size.margin].map((mm) => mm * POINTS_A_MM);
  const binding = bindingType(words.window, wide!, tall!);
  // What is a point too tall goes over to the next label, and all after it with it.
  const left = tall! - tallOf(words.window, binding, wide!) - SLACK;
  const side = Math.min(left, Math.max(CODE_MM, size.width * 0.2) * POINTS_A_MM);
  const type = typeFor(words, wide! - side - 4, left);
  return {
    stack: [
      { text: words.window, bold: true, fontSize: binding, lineHeight: 0.95 },
      {
        columns: [
          {
            width: '*',
            stack: [
              { text: words.name, bold: true, fontSize: type + 1, lineHeight: 0.95 },
              { text: words.code, fontSize: type },
              { text: words.mass, fontSize: type },
              { text: words.made, fontSize: type },
              { text: words.allergens, bold: true, fontSize: type }
            ]
          },
          { width: side, qr: `${origin}${path}`, fit: side, eccLevel: 'M' }
        ],
        columnGap: 4
      }
    ]
  };
}

/**
 * Labels as a PDF: one a page on a roll, or many on a sheet from a place on.
 *
 * @param skip labels already taken off the first sheet
 */
export async function labelPdf(
  room: Room,
  pieces: readonly string[],
  sizeId: string,
  origin: string,
  skip = 0
): Promise<Buffer> {
  return printedAsPdf(
    pieces.map((id) => printedOf(room, id)),
    sizeId,
    { origin, skip }
  );
}

/** Labels of pieces as they stand, as a PDF. */
export const labelsAsPdf = (
  labels: readonly LabelData[],
  sizeId: string,
  { house, ...sheet }: { readonly origin: string; readonly house: HouseState; readonly skip?: number }
): Promise<Buffer> =>
  printedAsPdf(
    labels.map((label) => ({ words: labelWords(label, house), path: `/piece/${label.code}`, code: label.code })),
    sizeId,
    sheet
  );

function printedAsPdf(
  labels: readonly Printed[],
  sizeId: string,
  { origin, skip = 0 }: { readonly origin: string; readonly skip?: number }
): Promise<Buffer> {
  const size = LABEL_SIZES.find(({ id }) => id === sizeId);
  if (!size) throw new EmberError('form.value-unknown', { field: 'size', seen: sizeId });
  if (labels.length === 0) throw new EmberError('form.incomplete', { field: 'pieces' });
  const blocks = labels.map((label) => labelBlock(label, size, origin));
  const mm = (value: number) => value * POINTS_A_MM;
  const base = {
    defaultStyle: { font: 'Hyperlegible', fontFeatures: ['tnum' as const] },
    info: {
      title: `Labels: ${labels
        .map(({ code }) => code)
        .join(', ')
        .slice(0, 200)}`
    },
    compress: true
  };
  if (!size.sheet) {
    const definition: TDocumentDefinitions = {
      ...base,
      pageSize: { width: mm(size.width), height: mm(size.height) },
      pageMargins: mm(size.margin),
      content: blocks.map((block, index) => ({ stack: [block], pageBreak: index > 0 ? 'before' : undefined }))
    };
    return pdfMaker().createPdf(definition).getBuffer();
  }
  const { across, down, page, left, top } = size.sheet;
  const cells: Content[] = [...Array<Content>(Math.min(skip, across * down - 1)).fill({ text: '' }), ...blocks];
  while (cells.length % across !== 0) cells.push({ text: '' });
  const rows: Content[][] = [];
  for (let index = 0; index < cells.length; index += across) rows.push(cells.slice(index, index + across));
  const pages: Content[] = [];
  for (let index = 0; index < rows.length; index += down) {
    pages.push({
      layout: {
        hLineWidth: () => 0,
        vLineWidth: () => 0,
        paddingLeft: () => mm(size.margin),
        paddingRight: () => mm(size.margin),
        paddingTop: () => mm(size.margin),
        paddingBottom: () => 0
      },
      table: {
        widths: Array<number>(across).fill(mm(size.width - 2 * size.margin)),
        heights: mm(size.height - size.margin) - 0.2,
        dontBreakRows: true,
        body: rows.slice(index, index + down)
      },
      pageBreak: index > 0 ? 'before' : undefined
    });
  }
  return pdfMaker()
    .createPdf({
      ...base,
      pageSize: { width: mm(page.width), height: mm(page.height) },
      pageMargins: [mm(left), mm(top), mm(left), 0],
      content: pages
    })
    .getBuffer();
}

/** Sends a PDF to the label printer; resolves to the file it says it printed. */
export function sendToPrinter(
  address: { host: string; port: number } | null,
  name: string,
  content: Buffer
): Promise<string> {
  return new Promise((resolve, reject) => {
    if (!address) return reject(new EmberError('device.no-printer', { seen: 'none is set' }));
    const gone = () => {
      socket.destroy();
      reject(new EmberError('device.no-printer', { seen: `${address.host}:${address.port}` }));
    };
    const socket = connect(address.port, address.host, () => {
      socket.write(`PRINT ${name.replace(/[^A-Za-z0-9._-]/g, '-').slice(0, 60)} ${content.length}\n`);
      socket.write(content);
    });
    let text = '';
    socket.setTimeout(5000, gone);
    socket.on('error', gone);
    socket.on('data', (chunk: Buffer) => {
      text += chunk.toString('latin1');
      if (!text.includes('\n')) return;
      socket.end();
      const answer = text.trim();
      if (answer.startsWith('OK ')) resolve(answer.slice(3));
      else reject(new EmberError('device.no-printer', { seen: answer.slice(0, 80) }));
    });
    socket.on('close', gone);
  });
}
