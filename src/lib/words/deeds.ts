import type { UNDOABLE } from '../core/record/amend.ts';
import * as say from './say.ts';
import { said } from './speech.ts';

type Undoable = (typeof UNDOABLE)[number];

const LINES: Record<Undoable, (name: string, grams: number, discardAt: number) => string> = {
  'piece.served': (name, grams) => `Served ${say.mass(grams)} of ${name}.`,
  'piece.discarded': (name, grams) => `Binned ${say.mass(grams)} of ${name}.`,
  'hold.started': (name, _, discardAt) => `${name} is on a tray. Bin it at ${say.clockTime(discardAt)}.`
};

/** What was just done to a piece, as whoever did it hears it. */
export const deedWords = /* @__PURE__ */ said(function deedWords(
  kind: Undoable,
  name: string,
  { grams, discardAt }: Readonly<Record<string, unknown>>
): string {
  return LINES[kind](name, Number(grams ?? 0), Number(discardAt ?? 0));
});
