import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { EmberError } from '../../core/errors.ts';
import { LABEL_SIZES, type LabelSize } from '../../core/trace/label.ts';
import type { LabelLines } from '../../words/labels.ts';

export const POINTS_A_MM = 72 / 25.4;
const require = createRequire(import.meta.url);

interface PdfMake {
  setFonts(fonts: Record<string, Record<string, string>>): void;
  setUrlAccessPolicy(policy: () => boolean): void;
  setLocalAccessPolicy(policy: (path: string) => boolean): void;
  createPdf(definition: TDocumentDefinitions): { getBuffer(): Promise<Buffer> };
}
let printer: PdfMake | null = null;

/** The maker of PDFs, with the house's own letters and nothing from outside. */
export function pdfMaker(): PdfMake {
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
export interface Printed {
  readonly words: LabelLines;
  readonly path: string;
  readonly code: string;
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
export function typeFor(words: LabelLines, width: number, height: number): number {
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

/** A sheet's size by its name. @throws EmberError `form.value-unknown` */
export function sizeNamed(id: string): LabelSize {
  const size = LABEL_SIZES.find((each) => each.id === id);
  if (!size) throw new EmberError('form.value-unknown', { field: 'size', seen: id });
  return size;
}

/** What is printed: the labels, on what, and how far into the first sheet. */
export interface PrintOrder {
  readonly labels: readonly Printed[];
  readonly size: string;
  /** Where the square codes lead. */
  readonly origin: string;
  /** Labels already taken off the first sheet. */
  readonly skip: number;
}

/** Labels as a PDF. It takes a hundredth of a second a label and more: in the server it is done in a thread of its own. */
export function printed({ labels, size: id, origin, skip }: PrintOrder): Promise<Buffer> {
  const size = sizeNamed(id);
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
