import type { CanvasElement, Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { pdfMaker, POINTS_A_MM } from './print.ts';

/** A paper ruler at true size: it is laid beside the block, and says where the blade stands for every slice. */
export interface RulerOrder {
  readonly kind: 'ruler';
  /** Where the blade meets the board, from the end that is cut first, mm; how far it is turned out of square, degrees. */
  readonly marks: readonly { readonly at: number; readonly label: string; readonly skew: number }[];
  /** mm. */
  readonly length: number;
  readonly words: {
    readonly title: string;
    readonly lines: readonly string[];
    /** Under the bar that is measured before the first cut. */
    readonly check: string;
  };
}

/** A4 lying on its side, mm, and what a printer leaves free. */
const PAGE = { width: 297, height: 210, margin: 15 } as const;
/** So much of a block stands on one strip; the next strip goes on there. mm */
export const STRIP = 260;
/** The bar everybody measures, mm. */
export const CHECK_BAR = 100;
const TALL = 22;
/** Two numbers need so much, mm. */
const CLOSE = 4.5;

const pt = (mm: number) => mm * POINTS_A_MM;
const line = (x1: number, y1: number, x2: number, y2: number, width = 0.5): CanvasElement => ({
  type: 'line',
  x1: pt(x1),
  y1: pt(y1),
  x2: pt(x2),
  y2: pt(y2),
  lineWidth: width
});

/** One strip of the ruler: ticks below its edge, the blade above it. */
function strip({ marks, length }: RulerOrder, from: number): Content {
  const to = Math.min(length, from + STRIP);
  const ticks = Array.from({ length: Math.floor(to) - Math.ceil(from) + 1 }, (_, index) => Math.ceil(from) + index);
  const here = marks.filter(({ at }) => at >= from - 1e-9 && at <= to + 1e-9);
  // Where slices lie close only every fifth is numbered.
  const stride = marks.length > 1 && length / marks.length < CLOSE ? 5 : 1;
  const canvas: CanvasElement[] = [
    line(0, TALL, to - from, TALL, 0.8),
    ...ticks.map((mm) => line(mm - from, TALL, mm - from, TALL + (mm % 10 === 0 ? 5 : mm % 5 === 0 ? 3.5 : 2), 0.3)),
    ...here.map(({ at, skew }) => {
      const turn = Math.tan((skew * Math.PI) / 180) * (TALL - 5);
      return line(at - from, TALL, at - from + turn, 5, 0.7);
    })
  ];
  const texts: Content[] = [
    ...ticks
      .filter((mm) => mm % 10 === 0)
      .map((mm): Content => ({
        text: String(mm),
        fontSize: 8,
        relativePosition: { x: pt(mm - from) - 5, y: pt(0.5) }
      })),
    ...here
      .filter(({ label }) => Number(label) % stride === 0)
      .map(({ at, label }): Content => ({
        text: label,
        fontSize: 8,
        relativePosition: { x: pt(at - from) - 5, y: -pt(TALL + 6.5) }
      }))
  ];
  return { stack: [{ canvas }, { stack: texts }], margin: [0, 0, 0, pt(8)], unbreakable: true };
}

/** The ruler as a PDF. */
export function printedRuler(order: RulerOrder): Promise<Buffer> {
  const strips: Content[] = [];
  for (let from = 0; from < order.length; from += STRIP) strips.push(strip(order, from));
  const definition: TDocumentDefinitions = {
    pageSize: { width: pt(PAGE.width), height: pt(PAGE.height) },
    pageMargins: pt(PAGE.margin),
    defaultStyle: { font: 'Hyperlegible', fontFeatures: ['tnum' as const], fontSize: 10 },
    info: { title: order.words.title },
    compress: true,
    content: [
      { text: order.words.title, bold: true, fontSize: 13 },
      ...order.words.lines.map((text): Content => ({ text })),
      {
        canvas: [line(0, 4, CHECK_BAR, 4, 1), line(0, 1, 0, 7, 1), line(CHECK_BAR, 1, CHECK_BAR, 7, 1)]
      },
      { text: order.words.check, margin: [0, 0, 0, pt(6)] },
      ...strips
    ]
  };
  return pdfMaker().createPdf(definition).getBuffer();
}
