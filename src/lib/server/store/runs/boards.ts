import type { Db } from '../open.ts';
import { speciesOf, type RunTable } from './run.ts';

export interface BoardRow {
  seq: number;
  piece: string;
  lot: string;
  species: string;
  supplier: string;
  form: string;
  map: string;
  hand: string;
  closed: number;
  input: number;
  usable: number;
  by_product: number;
  waste: number;
  drip: number;
  gap: number;
}

/** What each closed board gave. */
export function openBoards(db: Db) {
  const putBoard = db.prepare<BoardRow>(
    `INSERT OR REPLACE INTO boards (seq, piece, lot, species, supplier, form, map, hand, closed, input, usable, by_product,
       waste, drip, gap)
     VALUES (@seq, @piece, @lot, @species, @supplier, @form, @map, @hand, @closed, @input, @usable, @by_product, @waste,
       @drip, @gap)`
  );
  const boardsOf = db.prepare<[string], { seq: number }>('SELECT seq FROM boards WHERE piece = ?');
  const dropBoard = db.prepare<[number]>('DELETE FROM boards WHERE seq = ?');
  const dropParts = db.prepare<[number]>('DELETE FROM board_parts WHERE board = ?');
  const putPart = db.prepare<[number, string, number]>('INSERT INTO board_parts (board, part, grams) VALUES (?, ?, ?)');
  const shares = db.prepare<[string, string], { share: number; supplier: string }>(
    `SELECT usable / input AS share, supplier FROM boards
     WHERE species = ? AND form = ? AND input > 0 AND usable <= input * 1.2 ORDER BY closed DESC LIMIT 400`
  );
  const wanted = `input > 0 AND (@species = '' OR species = @species) AND (@form = '' OR form = @form)`;
  type Asked = { species: string; form: string };
  const asking = (from: string, key: string, grams: string) =>
    db
      .prepare<Asked, [key: string, share: number]>(
        `SELECT ${key}, ${grams} / input FROM ${from} WHERE ${wanted} ORDER BY closed`
      )
      .raw();
  const history = {
    species: asking('boards', 'species', 'usable'),
    supplier: asking('boards', 'supplier', 'usable'),
    hand: asking('boards', 'hand', 'usable'),
    part: asking('boards CROSS JOIN board_parts ON board = seq', 'part', 'grams')
  };
  const table: RunTable = {
    drop(piece) {
      for (const { seq } of boardsOf.all(piece)) {
        dropBoard.run(seq);
        dropParts.run(seq);
      }
    },
    put(piece, lot) {
      for (const board of piece.boards) {
        if (!board.ended) continue;
        putBoard.run({
          seq: board.seq,
          piece: piece.id,
          lot: lot.id,
          species: speciesOf(lot),
          supplier: lot.received.supplier,
          form: piece.made.form,
          map: board.plan.map,
          hand: board.ended.by,
          closed: board.ended.at,
          input: board.plan.grams - board.ended.remains,
          usable: board.parts - board.byProduct,
          by_product: board.byProduct,
          waste: board.waste,
          drip: board.drip,
          gap: board.ended.gap
        });
        for (const [part, grams] of Object.entries(board.byPart)) putPart.run(board.seq, part, grams);
      }
    },
    tables: [
      ['boards', 'seq'],
      ['board_parts', `board || ' ' || part`]
    ]
  };
  return {
    table,
    /** Usable shares of the newest boards of a species in a form. */
    sharesOf: (species: string, form: string) => shares.all(species, form),
    /** Key and share of every board, or of every part, oldest first. */
    history: (by: keyof typeof history, species: string, form: string) => history[by].all({ species, form })
  };
}
