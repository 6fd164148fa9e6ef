import { UNDOABLE } from '../core/record/amend.ts';
import * as say from './say.ts';
import { said } from './speech.ts';

type Undoable = (typeof UNDOABLE)[number];

const LINES: Record<Undoable, (name: string, grams: number, discardAt: number) => string> = {
  'piece.served': (name, grams) => `Served ${say.mass(grams)} of ${name}.`,
  'piece.discarded': (name, grams) => `Binned ${say.mass(grams)} of ${name}.`,
  'hold.started': (name, _, discardAt) => `${name} is on a tray. Bin it at ${say.clockTime(discardAt)}.`
};

/** What stands in a line once it is done, beside what ends or empties a piece: as the ledger tells it. */
const UNDONE_AT_ONCE: ReadonlySet<string> = new Set([
  ...UNDOABLE,
  'cure.stepped',
  'cure.ended',
  'acid.ended',
  'age.looked',
  'excursion.closed'
]);
/** Of these only the line: a reading typed wrong is corrected, and rice that is binned stays binned. */
const TOLD_ONLY: ReadonlySet<string> = new Set(['cold.read', 'place.read', 'freeze.read', 'hold.read', 'tub.binned']);

/** Whether a line says that it was done. */
export const isTold = (kind: string): boolean => UNDONE_AT_ONCE.has(kind) || TOLD_ONLY.has(kind);
/** Whether Undo stands beside that line. */
export const isUndoneAtOnce = (kind: string): boolean => UNDONE_AT_ONCE.has(kind);
/** Whether it has a line of its own; what has none is told as the ledger tells it. */
export const hasWords = (kind: string): kind is Undoable => kind in LINES;

/** What was just done to a piece, as whoever did it hears it. */
export const deedWords = /* @__PURE__ */ said(function deedWords(
  kind: Undoable,
  name: string,
  { grams, discardAt }: Readonly<Record<string, unknown>>
): string {
  return LINES[kind](name, Number(grams ?? 0), Number(discardAt ?? 0));
});

/** The same, done to others with it. */
export const manyWords = /* @__PURE__ */ said(
  (line: string, others: number): string =>
    `${line} And ${say.plural(others, { one: 'other', other: 'others' })} with it.`
);
