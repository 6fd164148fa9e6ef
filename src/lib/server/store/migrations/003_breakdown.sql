-- Pieces form a tree, and where batches are made of several, more than a tree: every parent of every piece.
CREATE TABLE piece_parents (
  child TEXT NOT NULL,
  parent TEXT NOT NULL,
  PRIMARY KEY (child, parent)
) STRICT, WITHOUT ROWID;
CREATE INDEX piece_parents_by_parent ON piece_parents (parent);

-- Every lot that is in a piece: one, or several for a batch.
CREATE TABLE piece_lots (
  lot TEXT NOT NULL,
  piece TEXT NOT NULL,
  PRIMARY KEY (lot, piece)
) STRICT, WITHOUT ROWID;
CREATE INDEX piece_lots_by_piece ON piece_lots (piece);

-- When it was made, so that an entry later than that on its parent need not be told to it; and, small enough to read by the
-- thousand, what its weight went into.
ALTER TABLE pieces ADD COLUMN made INTEGER NOT NULL DEFAULT 0;
ALTER TABLE pieces ADD COLUMN made_seq INTEGER NOT NULL DEFAULT 0;
ALTER TABLE pieces ADD COLUMN flow TEXT NOT NULL DEFAULT '{}';

-- What each closed board gave, to be charted by species, supplier and hand.
CREATE TABLE boards (
  seq INTEGER PRIMARY KEY,
  piece TEXT NOT NULL,
  lot TEXT NOT NULL,
  species TEXT NOT NULL,
  supplier TEXT NOT NULL,
  form TEXT NOT NULL,
  map TEXT NOT NULL,
  hand TEXT NOT NULL,
  closed INTEGER NOT NULL,
  input REAL NOT NULL,
  usable REAL NOT NULL,
  by_product REAL NOT NULL,
  waste REAL NOT NULL,
  drip REAL NOT NULL,
  gap REAL NOT NULL
) STRICT;
CREATE INDEX boards_by_species ON boards (species, form);
CREATE INDEX boards_by_piece ON boards (piece);
CREATE INDEX boards_by_closed ON boards (closed);
CREATE TABLE board_parts (
  board INTEGER NOT NULL,
  part TEXT NOT NULL,
  grams REAL NOT NULL,
  PRIMARY KEY (board, part)
) STRICT, WITHOUT ROWID;
